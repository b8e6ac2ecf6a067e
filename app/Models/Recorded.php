<?php

declare(strict_types=1);

namespace App\Models;

/** Whether anything is on record that must not go: attendance, marks, and contact from logs, taken back or not. */
final class Recorded
{
    /**
     * @param  iterable<string>  $meetings
     */
    public static function atAnyOf(iterable $meetings): bool
    {
        return Mark::whereIn('meeting_id', $meetings)->exists()
            || Practice::whereIn('meeting_id', $meetings)->exists()
            || Attendance::whereIn('meeting_id', $meetings)->exists();
    }

    /**
     * @param  iterable<string>  $students
     * @return string|null one of the students who have a record
     */
    public static function among(iterable $students): ?string
    {
        return Mark::whereIn('student_id', $students)->value('student_id')
            ?? Practice::whereIn('student_id', $students)->value('student_id')
            ?? Attendance::whereIn('student_id', $students)->value('student_id');
    }
}
