<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\GroupMember;
use App\Models\Recorded;
use App\Models\Student;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/**
 * Takes students off a group's list. Whoever has a record has left today, and the record stays; whoever has none was put
 * there by mistake and goes, altogether when they are in no other group.
 */
final class RemoveStudents
{
    public function __construct(private readonly CurrentSchool $school, private readonly ReplanGroup $replan)
    {
    }

    /** @param  list<string>  $students */
    public function __invoke(Group $group, array $students): void
    {
        DB::transaction(function () use ($group, $students): void {
            if ($group->students()->whereKey($students)->count() < count(array_unique($students))) {
                throw Refused::because(Message::of('students.not_in_group'), 'students');
            }
            $this->replan->because($group->id, 'cause.left', array_values(Student::whereKey($students)->orderBy('name')->get()->all()));
            $recorded = Recorded::among($students);
            GroupMember::where('group_id', $group->id)->whereIn('student_id', $recorded)->whereNull('left_on')->update(['left_on' => $this->school->today()]);
            $mistaken = array_values(array_diff($students, $recorded));
            GroupMember::where('group_id', $group->id)->whereIn('student_id', $mistaken)->delete();
            Student::whereKey($mistaken)->whereNotIn('id', GroupMember::select('student_id'))->delete();
        });
    }
}
