<?php

declare(strict_types=1);

namespace App\Models;

/** Whether anything is on record that must not go: attendance, marks, and logs, taken back or not. */
final class Recorded
{
    /** @param  iterable<string>  $meetings */
    public static function atAnyOf(iterable $meetings): bool
    {
        return Mark::whereIn('meeting_id', $meetings)->exists()
            || LoggedClass::whereIn('meeting_id', $meetings)->exists()
            || Attendance::whereIn('meeting_id', $meetings)->exists();
    }

    /**
     * @param  list<string>  $students
     * @return list<string> those of the students who have a record
     */
    public static function among(array $students): array
    {
        return array_values(array_filter($students, static fn (string $student): bool => Mark::where('student_id', $student)->exists()
            || Attendance::where('student_id', $student)->exists()
            || Consideration::where('student_id', $student)->exists()
            || HomePractice::where('student_id', $student)->exists()
            || StudentQuestion::where('student_id', $student)->exists()
            || LoggedClass::whereRaw('students @> array[?::uuid]', [$student])->exists()));
    }
}
