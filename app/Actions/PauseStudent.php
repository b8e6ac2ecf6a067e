<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\GroupMember;
use App\Models\Student;
use Illuminate\Support\Facades\DB;

/** A student stays away for a while: nobody waits for them meanwhile, and they come back to the groups they were in. */
final class PauseStudent
{
    public function __construct(private readonly CurrentSchool $school, private readonly FillGroup $fill, private readonly ReplanGroup $replan, private readonly AskForPlan $ask)
    {
    }

    public function __invoke(Student $student, bool $isPaused): void
    {
        DB::transaction(function () use ($student, $isPaused): void {
            $this->ask->holdOf($student);
            Student::lockForUpdate()->findOrFail($student->id);
            $isPaused ? $this->pause($student) : $this->comeBack($student);
        });
    }

    private function pause(Student $student): void
    {
        foreach (GroupMember::where('student_id', $student->id)->whereNull('left_on')->get() as $member) {
            $this->replan->because($member->group_id, 'cause.paused', [$student]);
            $member->update(['left_on' => $this->school->today(), 'is_paused' => true]);
        }
    }

    private function comeBack(Student $student): void
    {
        foreach (GroupMember::where('student_id', $student->id)->where('is_paused', true)->get() as $member) {
            $this->fill->join(Group::findOrFail($member->group_id), $student, $this->school->today());
            $this->replan->because($member->group_id, 'cause.joined', [$student]);
        }
    }
}
