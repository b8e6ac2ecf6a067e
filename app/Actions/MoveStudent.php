<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Student;
use Illuminate\Support\Facades\DB;

/** A student goes over from one group to another; the record goes along, for it is the student's. */
final class MoveStudent
{
    public function __construct(private readonly CurrentSchool $school, private readonly FillGroup $fill, private readonly RemoveStudents $leave, private readonly ReplanGroup $replan)
    {
    }

    public function __invoke(Student $student, Group $from, Group $to): void
    {
        DB::transaction(function () use ($student, $from, $to): void {
            $this->fill->join($to, $student, $this->school->today());
            $this->replan->because($to->id, 'cause.joined', [$student]);
            ($this->leave)($from, [$student->id]);
        });
    }
}
