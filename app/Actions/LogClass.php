<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Entry;
use App\Models\LoggedClass;
use App\Models\Mark;
use App\Models\Meeting;
use App\Models\Principle;
use App\Models\Student;
use App\Models\Term;
use App\Models\Viewer;
use App\Models\Withdrawal;
use App\Record\Checkpoints;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Doing;
use Gorvan\Core\Record\DoingKind;
use Gorvan\Core\Record\Guest;
use Gorvan\Core\Record\TakenBackBy;
use Gorvan\Core\Term\MeetingState;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Uid\Ulid;

/** Keeps what a class did hold: one log, as the page made it. */
final class LogClass
{
    public function __construct(
        private readonly CurrentSchool $school,
        private readonly KeepLog $keep,
        private readonly WithdrawFacts $withdraw,
        private readonly AskForPlan $ask,
        private readonly Checkpoints $checkpoints,
    ) {
    }

    public function __invoke(Meeting $meeting, ClassLog $log, Viewer $by): void
    {
        DB::transaction(function () use ($meeting, $log, $by): void {
            // Two devices may log the same class at once: the second one waits, and then sees the first. Whoever plans the term
            // takes it before its meetings, and so does this.
            Term::whereKey($meeting->term_id)->lock('for no key update')->toBase()->pluck('id');
            $this->append(Meeting::lockForUpdate()->findOrFail($meeting->id), $log, $by);
        });
    }

    private function append(Meeting $meeting, ClassLog $sent, Viewer $by): void
    {
        if ($meeting->on > $this->school->today()) {
            throw Refused::because(Message::of('log.early'));
        }
        if ($meeting->state === MeetingState::Cancelled) {
            throw Refused::because(Message::of('log.cancelled', on: $meeting->on));
        }
        if ($sent->on !== $meeting->on) {
            throw Refused::because(Message::of('log.day', on: $meeting->on, said: $sent->on), 'on');
        }
        $log = $this->complete($meeting, $sent);
        $known = LoggedClass::find($log->id);
        if ($known !== null || Mark::whereKey($log->id)->exists() || Withdrawal::whereKey($log->id)->exists()) {
            if ($known !== null && $known->log()->saysTheSameAs($log)) {
                return; // sent twice
            }
            throw Refused::conflict(Message::of('log.reused'), 'id');
        }
        $standing = $meeting->standingLog();
        $this->checkpoints->hold([...$log->there(), ...($standing?->log()->there() ?? [])]);
        if ($standing !== null) {
            if ($log->replaces !== $standing->id) {
                throw Refused::conflict(Message::of('log.logged'));
            }
            $this->withdraw->log($standing, TakenBackBy::log($log->id), $log->madeAt, $by);
        }
        ($this->keep)($meeting->term->group_id, $meeting->id, $log, $by);
        ($this->ask)($meeting->term, Message::of('cause.logged', on: $meeting->on));
    }

    /**
     * What the group was taught before a class: what of a run-through is not, was followed along. Looked up where something was run
     * through.
     *
     * @param  list<Doing>  $did
     * @return array<string, true> `form/entry`
     */
    private function taughtBefore(Meeting $meeting, array $did): array
    {
        if (array_filter($did, static fn (Doing $doing): bool => $doing->what === DoingKind::RunThrough) === []) {
            return [];
        }
        $rows = LoggedClass::standing()->where('group_id', $meeting->term->group_id)->where('on', '<=', $meeting->on)
            ->where(static fn ($other) => $other->whereNull('meeting_id')->orWhere('meeting_id', '<>', $meeting->id))
            ->toBase()->selectRaw('distinct unnest(taught) as entry')->pluck('entry')->all();

        return array_fill_keys($rows, true);
    }

    /** The log with what the page may leave out: the form where the term has one course. Everything it names is there. */
    private function complete(Meeting $meeting, ClassLog $log): ClassLog
    {
        $forms = Course::where('term_id', $meeting->term_id)->orderBy('ordinal')->pluck('form_id')->all();
        $keys = Entry::whereIn('form_id', $forms)->get(['id', 'school_id', 'form_id', 'key'])->groupBy('form_id')->map(static fn ($entries) => $entries->pluck('key')->flip())->all();
        // Of any set of the school: the group may have changed its set while a tablet was without a network.
        $principles = array_values(Principle::pluck('id')->all());
        $did = [];
        foreach ($log->did as $at => $doing) {
            $form = $doing->form ?? (count($forms) === 1 ? $forms[0] : null);
            if ($doing->entries !== [] && ! isset($keys[$form])) {
                throw Refused::because(Message::of('log.form', nth: $at + 1), "did.$at.form");
            }
            foreach (array_diff($doing->principles, $principles) as $gone) {
                throw Refused::because(Message::of('log.principle', nth: $at + 1), "did.$at.principles");
            }
            foreach ($doing->entries as $entry) {
                if (! isset($keys[$form][$entry])) {
                    throw Refused::because(Message::of('log.entry', nth: $at + 1, entry: $entry), "did.$at.entries");
                }
            }
            $did[] = $doing->entries === [] ? $doing : $doing->of($form);
        }
        $guests = array_map(static fn (Guest $guest): Guest => Ulid::isValid($guest->id) ? new Guest(Ulid::fromString($guest->id)->toRfc4122(), $guest->name, $guest->isFirstTime, $guest->others) : $guest, $log->guests);
        $named = array_values(array_unique([...$log->present, ...array_merge([], ...array_map(static fn (Doing $doing): array => $doing->students ?? [], $did))]));
        $ids = array_map(static fn (Guest $guest): string => $guest->id, $guests);
        foreach (array_diff($named, $ids) as $student) {
            if (preg_match('/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/D', $student) !== 1 || ! Student::whereKey($student)->exists()) {
                throw Refused::because(Message::of('students.not_here'), 'present');
            }
        }
        foreach ($ids as $at => $id) {
            if (preg_match('/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/D', $id) !== 1) {
                throw Refused::because(Message::of('log.guest'), "guests.$at.id");
            }
        }

        return $log->completed($meeting->id, $did, $guests)->withFollowed($this->taughtBefore($meeting, $did));
    }
}
