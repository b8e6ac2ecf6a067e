<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Term;
use Illuminate\Database\Eloquent\Builder;

/** A group in the list of groups. */
final readonly class GroupSummary
{
    public function __construct(
        public string $id,
        public string $name,
        public ?string $room,
        public string $formId,
        public string $formTitle,
        public int $students,
        public ?string $termId,
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
