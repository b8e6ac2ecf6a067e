<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Term;
use Illuminate\Database\Eloquent\Builder;
use OpenApi\Attributes as OA;

/** A group in the list of groups. */
#[OA\Schema]
final readonly class GroupSummary
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $room,
        #[OA\Property]
        public string $formId,
        #[OA\Property]
        public string $formTitle,
        #[OA\Property]
        public int $students,
        #[OA\Property]
        public ?string $termId,
        #[OA\Property]
        public bool $hasFeed,
    ) {
    }

    /** @param  Group  $group  as {@see counted()} reads it */
    public static function of(Group $group): self
    {
        return new self(
            $group->id,
            $group->name,
            $group->room,
            $group->form_id,
            $group->form->title,
            (int) $group->getAttribute('students_count'),
            $group->getAttribute('latest_term'),
            $group->getAttribute('feed') !== null,
        );
    }

    /** @return Builder<Group> */
    public static function counted(): Builder
    {
        $today = app(CurrentSchool::class)->today();
        $groups = Group::query()->with('form')->withCount('students');
        $groups->addSelect(['latest_term' => Term::select('id')->whereColumn('group_id', 'groups.id')
            // The one that is running, else the next to come, else the last one there was.
            ->orderByRaw('ends_on < ?, case when ends_on >= ? then starts_on end, starts_on desc', [$today, $today])->limit(1)]);

        return $groups;
    }
}
