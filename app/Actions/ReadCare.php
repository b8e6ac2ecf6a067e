<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attendance;
use App\Models\Consideration;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\Student;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\MeetingCare;
use Gorvan\Core\Term\StudentCare;
use Illuminate\Database\Eloquent\Collection;
use WeakMap;

/** Who needs what at a meeting: by what was noted of its students, and of this evening. */
final class ReadCare
{
    /** @var WeakMap<Meeting, Collection<int, Student>>  sorted once for all that is asked of a meeting */
    private WeakMap $belonging;

    public function __construct(private readonly CurrentSchool $school, private readonly MeetingCare $care)
    {
        $this->belonging = new WeakMap;
    }

    /**
     * @param  array<string, Form>  $forms  by course
     * @return list<StudentCare> by name
     */
    public function __invoke(Meeting $meeting, array $forms): array
    {
        $plan = $meeting->planned();

        return $plan === null ? [] : $this->care->of($plan, $forms, $this->school->get()->warmUps(), $this->spared($meeting));
    }

    /** @return array<string, Spared> what everyone who belongs to the meeting is to be spared, by student */
    public function spared(Meeting $meeting): array
    {
        $tonight = $meeting->attendances->keyBy('student_id');
        $spared = [];
        foreach ($this->students($meeting)->loadMissing('considerations') as $student) {
            /** @var Attendance|null $is */
            $is = $tonight[$student->id] ?? null;
            $noted = array_values($student->considerations->map(static fn (Consideration $one): StudentConsideration => $one->noted())->all());
            $spared[$student->id] = Spared::on($meeting->on, $noted, $is->is_careful ?? false, $is->is_first_time ?? false);
        }

        return $spared;
    }

    /** @return array<string, string> everyone who belongs to the meeting, by id, in the order of their names */
    public function names(Meeting $meeting): array
    {
        $names = [];
        foreach ($this->students($meeting) as $student) {
            $names[$student->id] = $student->name;
        }

        return $names;
    }

    /** @return Collection<int, Student> everyone who belongs to the meeting, by name */
    private function students(Meeting $meeting): Collection
    {
        return $this->belonging[$meeting] ??= $this->read($meeting);
    }

    /** @return Collection<int, Student> */
    private function read(Meeting $meeting): Collection
    {
        $group = $meeting->term->group;

        return $group->byName(array_values(array_diff($meeting->attendances->pluck('student_id')->all(), $group->loadMissing('students')->students->modelKeys())));
    }

    /**
     * @param  list<string>  $students
     * @return array<string, list<StudentConsideration>> by student
     */
    public function noted(array $students): array
    {
        $noted = [];
        foreach (Consideration::whereIn('student_id', $students)->orderBy('created_at')->orderBy('id')->get() as $row) {
            $noted[$row->student_id][] = $row->noted();
        }

        return $noted;
    }
}
