<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * Whose evening a meeting is, where courses take turns (A A B; engine 8): stepped by the meetings that take place. A showing takes
 * its evening, and whose turn that was has the next one. Pure.
 */
final class TermTurns
{
    /**
     * @param  list<TermMeeting>  $meetings  of the term, in order
     * @param  list<Course>  $courses
     * @param  list<int>  $turns  places in the list of courses; none where all share each evening
     * @return list<list<int>|null> for each course the places of its own meetings; null for all of them
     */
    public static function of(array $meetings, array $courses, array $turns): array
    {
        if ($turns === []) {
            return array_map(static fn (): ?array => null, $courses);
        }
        $own = array_map(static fn (): array => [], $courses);
        $turn = 0;
        foreach ($meetings as $at => $meeting) {
            $shows = array_keys(array_filter($courses, static fn (Course $course): bool => $course->showing?->on === $meeting->on));
            $of = $turns[$turn % count($turns)];
            $whose = $shows === [] || in_array($of, $shows, true) ? $of : $shows[0];
            $turn += (int) ($whose === $of);
            $own[$whose][] = $at;
        }

        return $own;
    }
}
