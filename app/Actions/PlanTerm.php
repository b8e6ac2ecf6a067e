<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\PlanChange;
use App\Models\Term;
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
    public function __construct(
        private readonly CurrentSchool $school,
        private readonly TermPlanner $planner,
        private readonly ReadPlanning $read,
        private readonly PlanViews $views,
    ) {
    }

    /**
     * @param  PlanChange|null  $change  by hand, that asked for it; it is told what it moved
     * @param  PlanView|null  $was  the plan before that change
     */
    public function __invoke(Term $term, ?PlanChange $change = null, ?PlanView $was = null): void
    {
        $today = $this->school->today();
        if ($term->ends_on < $today) {
            return;
        }
        $asked = $term->plan_asked;
        $cause = $term->plan_cause;
        $planning = ($this->read)($term);
        $was ??= $this->views->of($term, $planning->draft);
        $ids = $planning->ids();
        $plan = $this->planner->plan($planning->request());
        $plans = self::byMeeting($plan, $ids);
        // A term that began before it was laid has meetings that nobody ever planned: they get what would have been their plan.
        $isUnplanned = static fn (DraftMeeting $meeting): bool => ! $meeting->isOpen && $meeting->on < $today && ! isset($was->plans[$meeting->id]);
        if (array_filter($planning->draft->taking(), $isUnplanned) !== []) {
            $plans += self::byMeeting($this->planner->plan($planning->request($isUnplanned)), $ids);
        }
        $difference = PlanDifference::between($was, new PlanView($planning->draft->meetings, [...$was->plans, ...$plans], $plan->courses), $this->views->titles($term));
        DB::transaction(function () use ($term, $asked, $plans, $plan, $difference, $cause, $was, $change): void {
            $now = Term::lockForUpdate()->find($term->id);
            if ($now === null || $now->plan_asked !== $asked) {
                return; // something changed meanwhile, and whoever changed it has asked again
            }
            $this->write($now, $plans, $plan);
            if ($change !== null) {
                $change->update(['difference' => json_encode($difference, JSON_THROW_ON_ERROR)]);
            } elseif ($was->plans !== [] && $difference !== []) {
                PlanChange::create(['term_id' => $now->id, 'plan' => $asked, 'touched' => '[]', 'cause' => $cause ?? json_encode(Message::of('cause.day'), JSON_THROW_ON_ERROR), 'difference' => json_encode($difference, JSON_THROW_ON_ERROR)]);
            }
        });
    }

    /**
     * Writes a plan over what is still open.
     *
     * @param  array<string, MeetingPlan>  $plans  by meeting
     */
    public function write(Term $term, array $plans, TermPlan $plan): void
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
            update meetings m set plan = c.plan::json, sequence = m.sequence + 1, updated_at = ?
            from json_to_recordset(?) c(id uuid, plan text) where m.school_id = ? and m.id = c.id
            SQL, [now(), json_encode($changed, JSON_THROW_ON_ERROR), $term->school_id]);
        $term->update([
            'plan_answered' => $term->plan_asked,
            'plan_cause' => null,
            'planned_at' => now(),
            'warnings' => json_encode($plan->warnings, JSON_THROW_ON_ERROR),
            'forecast' => json_encode(array_map(static fn (CourseForecast $one): object => $one->toData(), $plan->courses), JSON_THROW_ON_ERROR),
        ]);
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
