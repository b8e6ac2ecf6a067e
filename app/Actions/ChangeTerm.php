<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\PlanChange;
use App\Models\Term;
use App\Models\User;
use App\Models\Viewer;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\BoxesTooLong;
use Gorvan\Core\Term\Change\ChangeRefused;
use Gorvan\Core\Term\Change\PinLesson;
use Gorvan\Core\Term\Change\PlanDifference;
use Gorvan\Core\Term\Change\PlanView;
use Gorvan\Core\Term\Change\SetFocus;
use Gorvan\Core\Term\Change\TermChange;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\Closure;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\TermDates;
use Gorvan\Core\Term\TermPlanner;
use Illuminate\Support\Facades\DB;

/**
 * Changes a term by hand: the rest is planned again around it at once. What is computed holds nothing; when it is written, the
 * term is looked at again, and whatever two people changed at once is merged, or refused with the name.
 */
final class ChangeTerm
{
    private const TRIES = 3;

    public function __construct(
        private readonly CurrentSchool $school,
        private readonly ReadPlanning $read,
        private readonly TermPlanner $planner,
        private readonly PlanViews $views,
        private readonly PlanTerm $plan,
        private readonly TermSnapshot $snapshot,
    ) {
    }

    /**
     * What some changes would move, without making them.
     *
     * @param  list<TermChange>  $changes
     */
    public function preview(Term $term, array $changes): ChangedPlan
    {
        $planning = ($this->read)($term);
        self::checkFocuses($changes, $planning);
        try {
            $draft = array_reduce($changes, static fn (TermDraft $draft, TermChange $change): TermDraft => $change->on($draft), $planning->draft);
            $own = $planning->of($draft);
            $plan = $this->planner->plan($own->request());
            $plans = PlanTerm::byMeeting($plan, $own->ids());
            self::checkPins($changes, $draft, $plans);
        } catch (ChangeRefused|BoxesTooLong $e) {
            throw Refused::because($e->reason);
        }
        $was = $this->views->of($term, $planning->draft);

        return new ChangedPlan($draft, $plan, $plans, $was, PlanDifference::between($was, new PlanView($draft->meetings, [...$was->plans, ...$plans], $plan->courses), $this->views->titles($term)));
    }

    /**
     * @param  list<TermChange>  $changes
     * @param  int  $seen  which plan the page showed
     */
    public function __invoke(Term $term, array $changes, int $seen, Viewer $by, ?Message $cause = null): PlanChange
    {
        for ($try = 1; $try <= self::TRIES; $try++) {
            $term = Term::findOrFail($term->id);
            if ($term->ends_on < $this->school->today()) {
                throw Refused::conflict(Message::of('term.over'));
            }
            $changed = $this->preview($term, $changes);
            $made = DB::transaction(fn (): ?PlanChange => $this->write($term, $changed, $seen, $by, $cause ?? Message::of('cause.changed')));
            if ($made !== null) {
                return $made;
            }
        }
        throw Refused::conflict(Message::of('change.busy'));
    }

    /** Null where the term was changed meanwhile. */
    private function write(Term $read, ChangedPlan $changed, int $seen, Viewer $by, Message $cause): ?PlanChange
    {
        $term = Term::lockForUpdate()->findOrFail($read->id);
        if ($term->plan_asked !== $read->plan_asked) {
            return null;
        }
        $before = $this->snapshot->of($term);
        $touched = $this->draft($term, $changed->draft);
        $this->refuseAcross($term, $touched, $seen, $by);
        Term::whereKey($term->id)->increment('plan_asked');
        $term->refresh();
        $this->plan->write($term, $changed->plans, $changed->plan);
        $after = $this->snapshot->of($term);

        return PlanChange::create([
            'term_id' => $term->id, 'made_by' => $by->authorId(), 'plan' => $term->plan_asked,
            'touched' => json_encode($touched, JSON_THROW_ON_ERROR),
            'cause' => json_encode($cause, JSON_THROW_ON_ERROR),
            'difference' => json_encode($changed->difference, JSON_THROW_ON_ERROR),
            'before' => json_encode($before, JSON_THROW_ON_ERROR), 'after' => json_encode($after, JSON_THROW_ON_ERROR),
        ]);
    }

    /** @return list<string> the meetings that changed */
    private function draft(Term $term, TermDraft $draft): array
    {
        $zone = $this->school->zone();
        $touched = [];
        $rows = Meeting::where('term_id', $term->id)->get()->keyBy('id');
        foreach ($draft->meetings as $meeting) {
            $row = $rows[$meeting->id] ?? null;
            $starts = TermDates::instant($meeting->on, $meeting->at, $zone);
            $pins = $meeting->pins->isEmpty() ? null : json_encode($meeting->pins->toData(), JSON_THROW_ON_ERROR);
            $is = ['on' => $meeting->on, 'minutes' => $meeting->minutes, 'state' => $meeting->state, 'reason' => $meeting->reason, 'room' => $meeting->room, 'pins' => $pins];
            if ($row === null) {
                (new Meeting)->forceFill(['id' => $meeting->id, 'term_id' => $term->id, 'starts_at' => $starts, ...$is])->save();
                $touched[] = $meeting->id;

                continue;
            }
            $row->fill($is);
            if ($row->starts_at->getTimestamp() !== $starts->getTimestamp()) {
                $row->starts_at = \Illuminate\Support\Carbon::instance($starts);
            }
            if ($row->isDirty()) {
                $row->sequence++;
                $row->save();
                $touched[] = $row->id;
            }
        }
        $closures = array_map(static fn (Closure $one): array => ['from' => $one->from, 'to' => $one->to], $draft->closures);
        if (count($closures) !== count($term->closures)) {
            $term->update(['closures' => $closures]);
        }

        return $touched;
    }

    /**
     * Two people may change one term at once, but not one meeting without knowing of each other.
     *
     * @param  list<string>  $touched
     */
    private function refuseAcross(Term $term, array $touched, int $seen, Viewer $by): void
    {
        $others = PlanChange::where('term_id', $term->id)->where('plan', '>', $seen)->whereNotNull('made_by')->where('made_by', '<>', $by->authorId())->orderByDesc('at')->get();
        foreach ($others as $other) {
            if (array_intersect(json_decode($other->touched, true, 8, JSON_THROW_ON_ERROR), $touched) !== []) {
                throw Refused::conflict(Message::of('change.by_another', name: User::where('school_id', $other->school_id)->where('id', $other->made_by)->value('name') ?? '–'));
            }
        }
    }

    /**
     * A lesson is put only where it can come.
     *
     * @param  list<TermChange>  $changes
     * @param  array<string, MeetingPlan>  $plans
     */
    private static function checkPins(array $changes, TermDraft $draft, array $plans): void
    {
        foreach ($changes as $change) {
            if (! $change instanceof PinLesson || $change->meeting === null) {
                continue;
            }
            $on = null;
            foreach ($draft->taking() as $meeting) {
                if (self::gives($plans[$meeting->id] ?? null, $change)) {
                    $on ??= $meeting;
                }
            }
            if (! self::gives($plans[$change->meeting] ?? null, $change)) {
                throw $on === null ? ChangeRefused::notGiven($change->number) : ChangeRefused::tooEarly($change->number, max(1, $change->number - 1), $draft->meeting($change->meeting)->on, $on->on);
            }
        }
    }

    /**
     * A meeting works on what the group works on.
     *
     * @param  list<TermChange>  $changes
     */
    private static function checkFocuses(array $changes, Planning $planning): void
    {
        foreach ($changes as $change) {
            if ($change instanceof SetFocus && array_diff($change->principles ?? [], $planning->focus?->set->ids() ?? []) !== []) {
                throw Refused::because(Message::of('principles.not_of_group'));
            }
        }
    }

    private static function gives(?MeetingPlan $plan, PinLesson $change): bool
    {
        return in_array($change->number, array_map(static fn (PlannedLesson $lesson): ?int => $lesson->number, $plan?->course($change->course)?->lessons() ?? []), true);
    }
}
