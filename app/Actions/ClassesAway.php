<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Record\FactSource;
use Illuminate\Support\Facades\DB;

/** How many classes of a group were held before a meeting since each student was last there. */
final class ClassesAway
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /**
     * @param  list<string>  $students
     * @return array<string, int> who was never there is not among them
     */
    public function __invoke(Meeting $meeting, array $students): array
    {
        $rows = $students === [] ? [] : DB::select(<<<'SQL'
            with held as (
                select l.id, l.on from class_logs l where l.school_id = ? and l.group_id = ? and l.meeting_id is not null and l.meeting_id <> ? and l.on <= ?
                and not exists (select from withdrawn w where w.school_id = l.school_id and w.id = l.id)
            ), last as (
                select s.id as student_id, max(held.on) as day from students s cross join lateral unnest(s.id || s.also) r(record)
                join log_students c on c.school_id = s.school_id and c.student_id = r.record join held on held.id = c.log_id
                where s.school_id = ? and s.id = any(?::uuid[]) group by s.id
            )
            select last.student_id, (select count(*) from held where held.on > last.day) as away from last
            SQL, [$this->school->id(), $meeting->term->group_id, $meeting->id, $meeting->on, $this->school->id(), FactSource::list($students)]);

        return array_map(intval(...), array_column($rows, 'away', 'student_id'));
    }
}
