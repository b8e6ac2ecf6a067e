<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Course;
use App\Models\Term;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** A term in the list of terms. */
final readonly class TermSummary
{
    public function __construct(
        public string $id,
        public string $title,
        public string $groupId,
        public string $groupName,
        public string $formTitle,
        public string $startsOn,
        public string $endsOn,
        public int $meetings,
        public int $held,
        public bool $isBeingPlanned,
    ) {
    }

    /** @param  Term  $term  with its group, courses and forms, and the counts of {@see counted()} */
    public static function of(Term $term): self
    {
        return new self(
            $term->id,
            $term->title,
            $term->group_id,
            $term->group->name,
            $term->courses->map(static fn (Course $course): string => $course->form->title)->implode(', '),
            $term->starts_on,
            $term->ends_on,
            (int) $term->getAttribute('meetings_count'),
            (int) $term->getAttribute('held_count'),
            $term->isBeingPlanned(),
        );
    }

    /** @param  Collection<int, Course>|null  $courses  with their forms, where they are read already */
    public static function find(string $id, ?Collection $courses = null): self
    {
        return self::of($courses === null
            ? self::counted()->whereKey($id)->firstOrFail()
            : self::withCounts()->whereKey($id)->firstOrFail()->setRelation('courses', $courses));
    }

    /**
     * Terms as their summary needs them, counted by the database.
     *
     * @return Builder<Term>
     */
    public static function counted(): Builder
    {
        return self::withCounts()->with('courses.form');
    }

    /**
     * The same without its courses.
     *
     * @return Builder<Term>
     */
    public static function withCounts(): Builder
    {
        return Term::query()->with('group')->withCount(['meetings' => static fn ($meetings) => $meetings->where('state', '<>', 'cancelled'), 'meetings as held_count' => static fn ($meetings) => $meetings->whereHas('logs', static fn ($logs) => $logs->standing())]);
    }
}
