<?php

declare(strict_types=1);

namespace Database\Migrating;

use App\Jobs\PlanTermJob;
use Gorvan\Core\Record\TakenBackBy;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/**
 * The withdrawal of a log by the one that replaces it had the id of that one. Taking the second log back, or replacing it
 * again, withdrew the withdrawal as well, and the first log stood again. Here each gets an id of its own, and a log stands
 * where nothing withdrew it. Expects to be in the school.
 */
final readonly class ReplacedLogs
{
    public function __construct(private string $school)
    {
    }

    /** @return array{renamed: int, revived: int, hidden: int}|null what was found: withdrawals with the id of a log, logs that stood and do not, and the other way round */
    public function run(): ?array
    {
        $renamed = DB::select('select w.id, w.of from withdrawals w join class_logs l on l.school_id = w.school_id and l.id = w.id where w.school_id = ? order by w.id', [$this->school]);
        if ($renamed === []) {
            return null;
        }
        foreach ($renamed as $one) {
            DB::update('update withdrawals set id = ? where school_id = ? and id = ?', [TakenBackBy::log($one->id), $this->school, $one->id]);
        }
        $isTaken = 'exists (select from withdrawals w where w.school_id = l.school_id and w.of = l.id)';
        $isGone = 'exists (select from withdrawn g where g.school_id = l.school_id and g.id = l.id)';
        $revived = $this->logs("$isTaken and not $isGone");
        $hidden = $this->logs("not $isTaken and $isGone");
        foreach ($revived as $id) {
            DB::table('withdrawn')->insert(['school_id' => $this->school, 'id' => $id]);
        }
        DB::table('withdrawn')->where('school_id', $this->school)->whereIn('id', $hidden)->delete();
        if ($revived !== [] || $hidden !== []) {
            $this->readAnew([...$revived, ...$hidden]);
        }

        return ['renamed' => count($renamed), 'revived' => count($revived), 'hidden' => count($hidden)];
    }

    /** @return list<string> */
    private function logs(string $which): array
    {
        return array_column(DB::select("select l.id from class_logs l where l.school_id = ? and $which order by l.id", [$this->school]), 'id');
    }

    /**
     * What was read out of these logs no longer holds: records are read anew, and the terms they weigh on planned again.
     *
     * @param  list<string>  $logs  one at least
     */
    private function readAnew(array $logs): void
    {
        DB::update('update students set record_epoch = record_epoch + 1, forecasts = null where school_id = ?', [$this->school]);
        $marks = implode(',', array_fill(0, count($logs), '?'));
        $terms = DB::select("select distinct m.term_id from class_logs l join meetings m on m.school_id = l.school_id and m.id = l.meeting_id where l.school_id = ? and l.id in ($marks) and exists (select from terms t where t.school_id = m.school_id and t.id = m.term_id and t.ends_on >= ?)", [$this->school, ...$logs, now()->format('Y-m-d')]);
        foreach ($terms as $term) {
            DB::update('update terms set plan_asked = plan_asked + 1 where school_id = ? and id = ?', [$this->school, $term->term_id]);
            Queue::connection('database')->push(new PlanTermJob($this->school, $term->term_id));
        }
    }
}
