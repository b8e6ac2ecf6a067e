<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\GroupMember;
use App\Models\Recorded;
use App\Models\Student;
use Illuminate\Support\Facades\DB;

/** Takes a student off the school's list, out of every group, and puts them on it again. A record stays; who has none was a mistake and goes. */
final class KeepList
{
    public function __construct(private readonly RemoveStudents $leave)
    {
    }

    public function off(Student $student): void
    {
        DB::transaction(function () use ($student): void {
            $isRecorded = Recorded::among([$student->id]) !== [];
            GroupMember::where('student_id', $student->id)->where('is_paused', true)->update(['is_paused' => false]);
            foreach (Group::whereIn('id', GroupMember::where('student_id', $student->id)->whereNull('left_on')->select('group_id'))->get() as $group) {
                ($this->leave)($group, [$student->id]);
            }
            if ($isRecorded) {
                Student::whereKey($student->id)->update(['off_list_at' => now()]);
            } else {
                Student::whereKey($student->id)->whereNotIn('id', GroupMember::select('student_id'))->delete();
            }
        });
    }

    public function on(Student $student): void
    {
        $student->update(['off_list_at' => null]);
    }
}
