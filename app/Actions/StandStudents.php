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
    /** Days. */
    private const A_YEAR = 366;

    public function __construct(private readonly CurrentSchool $school, private readonly ReadStandings $standings)
    {
    }

    /** @return array{PlacedForm, array<string, StudentStanding>} by student */
    public function in(Group $group): array
    {
        $form = $group->form->placed();

        return [$form, ($this->standings)($form, array_values($group->students()->pluck('students.id')->all()), $this->school->today())];
    }

    /** How many movements hold today, over everyone and the forms of their groups, as a model reads recall. */
    public function holding(MemoryModel $model): int
    {
        $day = Day::number($this->school->today());
        $placed = [];
        $holding = 0;
        foreach (Group::with('form.entries', 'students')->get() as $group) {
            $form = $placed[$group->form_id] ??= $group->form->placed();
            foreach ($this->standings->tracks($form, array_values($group->students->pluck('id')->all()), $this->school->today()) as $tracks) {
                $holding += count(StudentStanding::of($form->form, $tracks, $day, $model)->holding());
            }
        }

        return $holding;
    }

    /** @return array<string, string> the day of the last class each student came to */
    public function lastSeen(): array
    {
        $since = Day::text(Day::number($this->school->today()) - self::A_YEAR);
        $stands = 'l.school_id = s.school_id and l.meeting_id is not null and not exists (select from withdrawn w where w.school_id = l.school_id and w.id = l.id)';
        // Almost everyone came within the year; only of the others are the years before looked through.
        $rows = DB::select(<<<SQL
            with recent as (
                select coalesce(a.same_as, u.student) as student, max(l.on) as last from class_logs l cross join lateral unnest(l.students) as u(student)
                left join students a on a.school_id = l.school_id and a.id = u.student and a.same_as is not null
                where l.school_id = ? and l.on > ? and l.meeting_id is not null and not exists (select from withdrawn w where w.school_id = l.school_id and w.id = l.id)
                group by 1
            )
            select s.id, coalesce(r.last, (select max(l.on) from class_logs l where {$stands} and l.students && (s.id || s.also))) as last
            from students s left join recent r on r.student = s.id where s.school_id = ?
            SQL, [$this->school->id(), $since, $this->school->id()]);

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
