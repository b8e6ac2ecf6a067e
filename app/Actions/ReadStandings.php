<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Mark;
use App\Models\Practice;
use App\Models\Score;
use App\Models\Withdrawal;
use DateTimeImmutable;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\Fact;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Memory\Standing;
use Illuminate\Support\Collection;

/** Replays the record of some students: every standing is computed from the facts, none is stored. */
final class ReadStandings
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /**
     * @param  list<string>  $students
     * @param  string  $on  the day `Y-m-d`
     * @return array<string, array<int, array<string, Standing>>> tracks by student and position
     */
    public function __invoke(Score $score, array $students, string $on): array
    {
        $facts = $this->facts($score, $students);
        $replay = new Replay($this->school->zone());
        $standings = [];
        foreach ($students as $student) {
            $standings[$student] = [];
            foreach ($replay->tracksOn($facts[$student] ?? [], $on) as $entry => $tracks) {
                $position = $score->positionOf((string) $entry);
                if ($position !== null) {
                    $standings[$student][$position] = $tracks;
                }
            }
        }

        return $standings;
    }

    /**
     * @param  list<string>  $students
     * @return array<string, list<Fact>> by student
     */
    private function facts(Score $score, array $students): array
    {
        $facts = [];
        $owner = []; // whose mark an id is
        foreach (Mark::whereIn('student_id', $students)->whereIn('entry_id', $score->ids)->toBase()->get(['id', 'student_id', 'entry_id', 'side', 'support', 'at']) as $mark) {
            $facts[$mark->student_id][] = Fact::mark($mark->id, $mark->entry_id, new DateTimeImmutable($mark->at), \Gorvan\Core\Memory\Support::from($mark->support), Side::tryFrom((string) $mark->side));
            $owner[$mark->id] = $mark->student_id;
        }
        $withdrawals = Withdrawal::query()->orderBy('received_at')->orderBy('id')->toBase()->get(['id', 'of', 'at']);
        $logs = $this->withdrawn($withdrawals, $owner, $facts);
        foreach (Practice::whereIn('student_id', $students)->whereIn('entry_id', $score->ids)->whereNotIn('log_id', $logs)->toBase()->get(['log_id', 'student_id', 'entry_id', 'kind', 'at']) as $row) {
            $id = "$row->log_id/$row->entry_id";
            $at = new DateTimeImmutable($row->at);
            $facts[$row->student_id][] = $row->kind === 'taught' ? Fact::taught($id, $row->entry_id, $at) : Fact::practice($id, $row->entry_id, $at);
        }

        return $facts;
    }

    /**
     * Hands each withdrawal of a mark to the student it is about; what is left withdraws a log.
     *
     * @param  Collection<int, \stdClass>  $withdrawals
     * @param  array<string, string>  $owner
     * @param  array<string, list<Fact>>  $facts
     * @return list<string> the logs withdrawn
     */
    private function withdrawn(Collection $withdrawals, array $owner, array &$facts): array
    {
        $logs = [];
        foreach ($withdrawals as $row) {
            $student = $owner[$row->of] ?? null;
            if ($student === null) {
                $logs[] = $row->of;

                continue;
            }
            $owner[$row->id] = $student;
            $facts[$student][] = Fact::withdraw($row->id, $row->of, new DateTimeImmutable($row->at));
        }

        return $logs;
    }
}
