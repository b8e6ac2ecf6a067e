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
        DB::transaction(function () use ($group): void {
            $this->would($group)->orRefuse();
            $students = $this->only($group);
            $group->delete();
            // Whoever was added to another group meanwhile stays.
            Student::whereKey($students)->whereNotIn('id', GroupMember::select('student_id'))->delete();
        });
    }

    public function would(Group $group): Removal
    {
        if ($group->terms()->exists()) {
            return Removal::refused(Message::of('group.has_term'));
        }
        if (LoggedClass::where('group_id', $group->id)->exists()) {
            return Removal::refused(Message::of('group.has_record'));
        }
        $goes = count($this->only($group));

        return Removal::takes(['students' => $goes], ['students_stay' => count($this->members($group)) - $goes]);
    }

    /** @return list<string> who is or was in it */
    private function members(Group $group): array
    {
        return array_values(GroupMember::where('group_id', $group->id)->pluck('student_id')->unique()->all());
    }

    /** @return list<string> those of them who are in no other group and have no record */
    private function only(Group $group): array
    {
        $members = $this->members($group);
        $elsewhere = GroupMember::whereIn('student_id', $members)->where('group_id', '<>', $group->id)->pluck('student_id')->all();

        return array_values(array_diff($members, $elsewhere, Recorded::among($members)));
    }
}
