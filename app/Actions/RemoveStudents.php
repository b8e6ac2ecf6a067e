<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attendance;
use App\Models\Group;
use App\Models\GroupMember;
use App\Models\Mark;
use App\Models\Practice;
use App\Models\Student;
use Illuminate\Support\Facades\DB;

/** Takes students out of a group they were put into by mistake: who has a record stays, who is nowhere else goes. */
final class RemoveStudents
{
    /** @param  list<string>  $students */
    public function __invoke(Group $group, array $students): void
    {
        DB::transaction(function () use ($group, $students): void {
            foreach ($students as $id) {
                $member = GroupMember::where('group_id', $group->id)->where('student_id', $id)->first();
                $student = $member === null ? null : Student::find($id);
                if ($member === null || $student === null) {
                    throw Refused::because('That student is not in this group.', 'students');
                }
                if ($this->hasRecord($id)) {
                    throw Refused::conflict("$student->name has attendance or marks on record, so nobody was taken out.", 'students');
                }
                $member->delete();
                if (! GroupMember::where('student_id', $id)->exists()) {
                    $student->delete();
                }
            }
        });
    }

    private function hasRecord(string $student): bool
    {
        foreach ([Mark::class, Practice::class, Attendance::class] as $recorded) {
            if ($recorded::where('student_id', $student)->exists()) {
                return true;
            }
        }

        return false;
    }
}
