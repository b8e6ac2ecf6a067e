<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Group;

/** In which course a group learns its form on a day: of the term that runs then, else of the last before, else of the next to come. */
final class GroupCourse
{
    public function __invoke(Group $group, string $on): ?Course
    {
        $courses = Course::with('term.group', 'form')->where('form_id', $group->form_id)->whereHas('term', static fn ($term) => $term->where('group_id', $group->id))->get()->all();
        // What began by then, the latest first; then what is still to come, the next first.
        $order = static fn (Course $course): array => $course->term->starts_on > $on ? [1, strtotime($course->term->starts_on), $course->id] : [0, -strtotime($course->term->ends_on), $course->id];
        usort($courses, static fn (Course $a, Course $b): int => $order($a) <=> $order($b));

        return $courses[0] ?? null;
    }
}
