<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\GroupMember;
use App\Models\LoggedClass;
use App\Models\Recorded;
use App\Models\Student;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Takes a group back that has no term and no record; students who are in no other group and have no record go with it. */
final class RemoveGroup
{
    public function __invoke(Group $group): void
    {
        DB::transaction(static function () use ($group): void {
            if ($group->terms()->exists()) {
                throw Refused::conflict(Message::of('group.has_term'));
            }
            if (LoggedClass::where('group_id', $group->id)->exists()) {
                throw Refused::conflict(Message::of('group.has_record'));
            }
            $students = array_values(GroupMember::where('group_id', $group->id)->pluck('student_id')->unique()->all());
            $group->delete();
            Student::whereKey(array_diff($students, Recorded::among($students)))->whereNotIn('id', GroupMember::select('student_id'))->delete();
        });
    }
}
