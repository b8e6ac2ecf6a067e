<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\LoggedClass;
use App\Models\Mark;
use App\Models\Meeting;
use App\Models\Term;
use App\Models\Viewer;
use App\Models\Withdrawal;
use App\Policies\Ability;
use App\Record\Checkpoints;
use App\Record\Withdrawn;
use DateTimeImmutable;
use DateTimeZone;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\WithdrawnKind;
use Illuminate\Support\Facades\DB;

/**
 * Takes marks, logs or withdrawals back by appending a withdrawal; the record keeps both. Whoever may make a thing may
 * withdraw it.
 */
final class WithdrawFacts
{
    public function __construct(private readonly CurrentSchool $school, private readonly Withdrawn $withdrawn, private readonly Checkpoints $checkpoints, private readonly AskForPlan $ask)
    {
    }

    /** @param  list<array{id: string, of: string, at: DateTimeImmutable}>  $withdrawals */
    public function __invoke(array $withdrawals, Viewer $by): void
    {
        DB::transaction(function () use ($withdrawals, $by): void {
            // One after the other, so that the same taking back from two devices is found and not made twice; and not beside a
            // log of the same class that is just arriving.
            DB::select('select pg_advisory_xact_lock(hashtextextended(?, 0))', ['withdrawals '.$this->school->id()]);
            $logs = LoggedClass::whereIn('id', array_column($withdrawals, 'of'))->get();
            Term::whereIn('id', Meeting::whereIn('id', $logs->pluck('meeting_id')->filter())->select('term_id'))->orderBy('id')->lock('for no key update')->toBase()->pluck('id');
            Meeting::whereIn('id', $logs->pluck('meeting_id')->filter())->orderBy('id')->lockForUpdate()->pluck('id');
            $marked = Mark::whereIn('id', array_column($withdrawals, 'of'))->toBase()->pluck('student_id')->all();
            $this->checkpoints->hold(array_values(array_unique([...$marked, ...array_merge([], ...$logs->map(static fn (LoggedClass $one): array => $one->log()->there())->all())])));
            foreach ($withdrawals as $at => $withdrawal) {
                $this->one($withdrawal, $at, $by);
            }
        });
    }

    /** Takes a log out of the record; the class can be logged again, and its plan stays what it was. */
    public function log(LoggedClass $logged, string $id, DateTimeImmutable $at, Viewer $by): void
    {
        $this->append($id, $logged->id, WithdrawnKind::Log, $at, $by);
        if ($this->checkpoints->mayHold($logged->on)) {
            $this->checkpoints->discard($logged->log()->there());
        }
    }

    /** @param  array{id: string, of: string, at: DateTimeImmutable}  $withdrawal */
    private function one(array $withdrawal, int $at, Viewer $by): void
    {
        $known = Withdrawal::find($withdrawal['id']);
        // The id of a fact that is there is no id for taking one back, its own least of all.
        if ($known === null ? $this->isTaken($withdrawal['id']) : $known->of !== $withdrawal['of']) {
            throw Refused::conflict(Message::of('withdrawal.reused'), "withdrawals.$at.id");
        }
        $logged = LoggedClass::find($withdrawal['of']);
        $mark = $logged === null ? $this->markBehind($withdrawal['of']) : null;
        if ($logged === null && $mark === null) {
            throw Refused::because(Message::of('withdrawal.unknown'), "withdrawals.$at.of");
        }
        if (! $by->may($logged === null ? Ability::Mark : Ability::Plan)) {
            throw Refused::forbidden(Message::of('refused.may_not'), "withdrawals.$at.of");
        }
        if ($known !== null) {
            return;
        }
        if ($logged !== null) {
            $this->log($logged, $withdrawal['id'], $withdrawal['at'], $by);
            $meeting = $logged->meeting_id === null ? null : Meeting::find($logged->meeting_id);
            // What was taught before any meeting weighs on every term the group has.
            foreach ($meeting === null ? Term::where('group_id', $logged->group_id)->get() : [$meeting->term] as $term) {
                ($this->ask)($term, Message::of('cause.log_withdrawn', on: $logged->on));
            }

            return;
        }
        $this->append($withdrawal['id'], $withdrawal['of'], $mark?->id === $withdrawal['of'] ? WithdrawnKind::Mark : WithdrawnKind::Withdrawal, $withdrawal['at'], $by);
        MeasureTrust::outdated([(string) $mark?->student_id]);
        if ($mark?->on === null || $this->checkpoints->mayHold($mark->on)) {
            $this->checkpoints->discard([(string) $mark?->student_id]);
        }
    }

    private function isTaken(string $id): bool
    {
        return Mark::whereKey($id)->exists() || LoggedClass::whereKey($id)->exists();
    }

    private function append(string $id, string $of, WithdrawnKind $kind, DateTimeImmutable $at, Viewer $by): void
    {
        Withdrawal::create([
            'id' => $id,
            'of' => $of,
            'kind' => $kind,
            'at' => $at->setTimezone(new DateTimeZone('UTC')),
            'made_by' => $by->authorId(),
            'clock_ahead' => Clock::ahead($at),
        ]);
        $this->withdrawn->settle($of);
    }

    /** The mark that an id is, or that a chain of withdrawals leads to. A log that was taken back is logged again, not revived. */
    private function markBehind(string $id): ?Mark
    {
        $mark = Mark::find($id);
        $of = $mark === null ? Withdrawal::find($id)?->of : null;

        return $mark ?? ($of === null ? null : $this->markBehind($of));
    }
}
