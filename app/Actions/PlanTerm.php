<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\PlanChange;
use App\Models\Term;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\PlanDifference;
use Gorvan\Core\Term\Change\PlanView;
use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;
use Illuminate\Support\Facades\DB;

/**
 * Plans what is still open of a term: what was held, and what has gone by, stays as it was. It computes without holding
 * anything, and then writes what still fits, and what that moved.
 */
final class PlanTerm
{
    /** The format of plans that is written; older ones are made anew when they are next looked at. */
    public const FORMAT = 3;

    /** Plans made anew for no other reason are no news: no difference is told, and calendars keep their numbers. */
    public const QUIETLY = 'cause.format';

    public function __construct(
        private readonly CurrentSchool $school,
        private readonly TermPlanner $planner,
        private readonly ReadPlanning $read,
        private readonly PlanViews $views,
        private readonly SettledSpread $settled,
    ) {
    }

    /**
     * All of it at once, in the transaction that changed what it rests on.
     *
     * @param  PlanChange|null  $change  by hand, that asked for it; it is told what it moved
     * @param  PlanView|null  $was  the plan before that change
     */
    public function __invoke(Term $term, ?PlanChange $change = null, ?PlanView $was = null): void
    {
        $work = $this->read($term, $was);
        if ($work !== null) {
            $this->keep($work, $this->compute($work), $change);
        }
    }

    /** What a plan rests on; null for a term that is over. */
    public function read(Term $term, ?PlanView $was = null): ?TermWork
    {
        $today = $this->school->today();
        if ($term->ends_on < $today) {
            return null;
        }
        $planning = ($this->read)($term);

        return new TermWork($term->id, $term->plan_asked, $term->plan_cause, $today, $planning, $was ?? $this->views->of($term, $planning->draft), $this->views->titles($term));
    }

    /**
     * The plan, and what it moves; nothing is asked of the database.
     *
     * @param  (callable(): void)|null  $goesOn  called while it is worked out
     */
    public function compute(TermWork $work, ?callable $goesOn = null): PlannedTerm
    {
        $planning = $work->planning;
        $ids = $planning->ids();
        $plan = $this->planner->plan($planning->request(), $goesOn);
        $plans = self::byMeeting($plan, $ids);
        // A term that began before it was laid has meetings that nobody ever planned: they get what would have been their plan.
        $isUnplanned = static fn (DraftMeeting $meeting): bool => ! $meeting->isOpen && $meeting->on < $work->today && ! isset($work->was->plans[$meeting->id]);
        if (array_filter($planning->draft->taking(), $isUnplanned) !== []) {
            $plans += self::byMeeting($this->planner->plan($planning->request($isUnplanned), $goesOn), $ids);
        }

        return new PlannedTerm($plan, $plans, PlanDifference::between($work->was, new PlanView($planning->draft->meetings, [...$work->was->plans, ...$plans], $plan->courses), $work->titles));
    }

    public function keep(TermWork $work, PlannedTerm $planned, ?PlanChange $change = null): void
    {
        DB::transaction(function () use ($work, $planned, $change): void {
            $now = Term::lockForUpdate()->find($work->term);
            if ($now === null || $now->plan_asked !== $work->asked) {
                return; // something changed meanwhile, and whoever changed it has asked again
            }
            $isQuiet = $change === null && $work->cause !== null && JsonNode::parse($work->cause)->required('code')->text() === self::QUIETLY;
            $this->write($now, $planned->plans, $planned->plan, $isQuiet);
            if ($isQuiet) {
                return;
            }
            if ($change !== null) {
                $change->update(['difference' => json_encode($planned->difference, JSON_THROW_ON_ERROR)]);
            } elseif ($work->was->plans !== [] && $planned->difference !== []) {
                PlanChange::create(['term_id' => $now->id, 'plan' => $work->asked, 'touched' => '[]', 'cause' => $work->cause ?? json_encode(Message::of('cause.day'), JSON_THROW_ON_ERROR), 'difference' => json_encode($planned->difference, JSON_THROW_ON_ERROR)]);
            }
        });
    }

    /**
     * Writes a plan over what is still open.
     *
     * @param  array<string, MeetingPlan>  $plans  by meeting
     * @param  bool  $isQuiet  it is no news for calendars
     */
    public function write(Term $term, array $plans, TermPlan $plan, bool $isQuiet = false): void
    {
        $logged = array_fill_keys(LoggedClass::whereIn('meeting_id', array_keys($plans))->pluck('meeting_id')->all(), true);
        $old = Meeting::whereIn('id', array_keys($plans))->pluck('plan', 'id')->all();
        $changed = [];
        foreach ($plans as $id => $planned) {
            $json = $planned->json();
            if (! isset($logged[$id]) && array_key_exists($id, $old) && $old[$id] !== $json) {
                $changed[] = ['id' => $id, 'plan' => $json];
            }
        }
        DB::update(<<<'SQL'
            update meetings m set plan = c.plan::json, sequence = m.sequence + ?, updated_at = ?
            from json_to_recordset(?) c(id uuid, plan text) where m.school_id = ? and m.id = c.id
            SQL, [$isQuiet ? 0 : 1, now(), json_encode($changed, JSON_THROW_ON_ERROR), $term->school_id]);
        $term->update([
            'plan_answered' => $term->plan_asked,
            'plan_cause' => null,
            'planned_at' => now(),
            'plan_format' => self::FORMAT,
            'warnings' => json_encode($plan->warnings, JSON_THROW_ON_ERROR),
            'forecast' => json_encode(array_map(static fn (CourseForecast $one): object => $one->toData(), $plan->courses), JSON_THROW_ON_ERROR),
        ]);
        foreach ($term->courses()->get() as $at => $course) {
            $course->update(['settled_spread' => $plan->spread[$at] ?? null, 'settled_for' => $this->settled->for($term, $course)]);
        }
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, MeetingPlan>
     */
    public static function byMeeting(TermPlan $plan, array $ids): array
    {
        $plans = [];
        foreach ($plan->meetings as $at => $planned) {
            $plans[$ids[$at]] = $planned;
        }

        return $plans;
    }
}
