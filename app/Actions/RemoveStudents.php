<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\GroupMember;
use App\Models\Recorded;
use App\Models\Student;
use Illuminate\Support\Facades\DB;

/** Takes students out of a group they were put into by mistake: who has a record stays, who is nowhere else goes. */
final class RemoveStudents
{
    /** @param  list<string>  $students */
    public function __invoke(Group $group, array $students): void
    {
        DB::transaction(static function () use ($group, $students): void {
            $names = $group->students()->whereKey($students)->pluck('name', 'students.id');
            if ($names->count() < count(array_unique($students))) {
                throw Refused::because('That student is not in this group.', 'students');
            }
            $recorded = Recorded::among($students);
            if ($recorded !== null) {
                throw Refused::conflict("$names[$recorded] has attendance or marks on record, so nobody was taken out.", 'students');
            }
            GroupMember::where('group_id', $group->id)->whereIn('student_id', $students)->delete();
            Student::whereKey($students)->whereNotIn('id', GroupMember::select('student_id'))->delete();
        });
    }
}
