<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\PlacedForm;
use App\Models\Student;
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

    /** @return list<array{Group, PlacedForm, array<string, StudentStanding>}> by group */
    public function __invoke(): array
    {
        $today = $this->school->today();
        $placed = $all = [];
        /** @var \Illuminate\Database\Eloquent\Collection<int, Group> $groups */
        $groups = Group::with('form.entries', 'students')->orderBy('name')->get();
        foreach ($groups as $group) {
            $form = $placed[$group->form_id] ??= $group->form->placed();
            $all[] = [$group, $form, ($this->standings)($form, array_values($group->students->pluck('id')->all()), $today)];
        }

        return $all;
    }

    /** @return array<string, string> the day of the last class each student came to */
    public function lastSeen(): array
    {
        $since = Day::text(Day::number($this->school->today()) - self::A_YEAR);
        $stands = 'l.school_id = s.school_id and l.meeting_id is not null and not exists (select from withdrawn w where w.school_id = l.school_id and w.id = l.id)';
        // Almost everyone came within the year; only of the others are the years before looked through.
        $rows = DB::select(<<<SQL
            with recent as (
                select student, max(l.on) as last from class_logs l cross join lateral unnest(l.students) as student
                where l.school_id = ? and l.on > ? and l.meeting_id is not null and not exists (select from withdrawn w where w.school_id = l.school_id and w.id = l.id)
                group by student
            )
            select s.id, coalesce(r.last, (select max(l.on) from class_logs l where {$stands} and l.students @> array[s.id])) as last
            from students s left join recent r on r.student = s.id where s.school_id = ?
            SQL, [$this->school->id(), $since, $this->school->id()]);

        return array_filter(array_column($rows, 'last', 'id'));
    }

    /** @return list<Student> by name */
    public function everyone(): array
    {
        return array_values(Student::query()->get()->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)->all());
    }
}
