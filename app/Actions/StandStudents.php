<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\PlacedForm;
use App\Models\Student;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\StudentStanding;
use Illuminate\Support\Facades\DB;

/** Where everyone in the school stands, each in the forms of their groups. */
final class StandStudents
{
    public function __construct(private readonly CurrentSchool $school, private readonly ReadStandings $standings)
    {
    }

    /** @return array{PlacedForm, array<string, StudentStanding>} by student */
    public function in(Group $group): array
    {
        $form = $group->form->placed();

        return [$form, ($this->standings)($form, array_values($group->students()->pluck('students.id')->all()), $this->school->today())];
    }

    /** How many movements of its form hold today, over everyone in a group, as a model reads recall. */
    public function holding(Group $group, MemoryModel $model): int
    {
        $day = Day::number($this->school->today());
        $form = $group->form->placed();
        $holding = 0;
        foreach ($this->standings->tracks($form, array_values($group->students->pluck('id')->all()), $this->school->today()) as $tracks) {
            $holding += count(StudentStanding::of($form->form, $tracks, $day, $model)->holding());
        }

        return $holding;
    }

    /** @return array<string, string> the day of the last class each student came to */
    public function lastSeen(): array
    {
        $rows = DB::select(<<<'SQL'
            select s.id, max(c.on) as last from students s cross join lateral unnest(s.id || s.also) r(record) cross join lateral (
                select l.on from log_students l where l.school_id = s.school_id and l.student_id = r.record
                    and not exists (select from withdrawn w where w.school_id = l.school_id and w.id = l.log_id)
                order by l.on desc limit 1
            ) c where s.school_id = ? group by s.id
            SQL, [$this->school->id()]);

        return array_filter(array_column($rows, 'last', 'id'));
    }

    /** @return list<Student> by name with their groups, those off the list too */
    public function everyone(): array
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Student> $students */
        $students = Student::with('groups')->whereNull('same_as')->get();

        return array_values($students->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)->all());
    }
}
