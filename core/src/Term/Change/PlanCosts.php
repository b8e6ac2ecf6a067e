<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;
use Gorvan\Core\Term\TermRequest;

/**
 * What a gate or the rhythm costs, in movements, by planning again without it (engine 9): said where it is more than 3 %. The
 * teacher decides. Long work.
 */
final readonly class PlanCosts
{
    private const WORTH_SAYING = 0.03;

    /** Later evenings are held back for the same reason as these. */
    private const MOST_HOLDS = 4;

    /** A lesson no course has: it lets whichever comes next come. */
    private const WHATEVER_COMES = 600;

    public function __construct(private TermPlanner $planner = new TermPlanner)
    {
    }

    /**
     * @param  callable(int): void  $progress  hundredths that are done
     * @return list<Message>
     */
    public function of(TermRequest $request, TermPlan $plan, callable $progress): array
    {
        $costs = [];
        foreach ($request->courses as $n => $outset) {
            $own = [];
            foreach ($this->holds($plan, $outset->course->id) as $done => [$at, $why]) {
                $own[] = $this->held($request, $plan, $n, $at, $why);
                $progress(min(80, 20 * ($done + 1)));
            }
            $own[] = $this->rhythm($request, $plan, $n);
            foreach (array_filter($own) as $cost) {
                $costs[] = count($request->courses) === 1 ? $cost : Message::of('plan.in_course', title: $outset->course->form->title, what: $cost);
            }
        }
        $progress(100);

        return $costs;
    }

    /** @return list<array{int, Message}> the first evenings that are held back for what the class remembers */
    private function holds(TermPlan $plan, string $course): array
    {
        $holds = [];
        foreach ($plan->meetings as $at => $meeting) {
            $why = $meeting->course($course)?->why;
            if ($why !== null && in_array($why->code, ['plan.why.gate', 'plan.why.few_met'], true)) {
                $holds[] = [$at, $why];
            }
        }

        return array_slice($holds, 0, self::MOST_HOLDS);
    }

    private function held(TermRequest $request, TermPlan $plan, int $n, int $at, Message $why): ?Message
    {
        $course = $request->courses[$n]->course;
        $meetings = $request->meetings;
        $pins = $meetings[$at]->pins;
        $meetings[$at] = new TermMeeting($meetings[$at]->on, $meetings[$at]->minutes, true, $pins->with(['lessons' => [...$pins->lessons, $course->id => self::WHATEVER_COMES]]), $meetings[$at]->key);
        $more = $this->planner->plan(new TermRequest($request->seed, array_values($meetings), $request->courses))->courses[$n]->expected - $plan->courses[$n]->expected;

        return self::isWorthSaying($more, $plan->courses[$n]->expected)
            ? Message::of('plan.cost_held', on: $meetings[$at]->on, more: round($more, 1), why: $why)
            : null;
    }

    private function rhythm(TermRequest $request, TermPlan $plan, int $n): ?Message
    {
        $outset = $request->courses[$n];
        $is = $outset->course->lessonsInARow();
        if ($is === PHP_INT_MAX) {
            return null;
        }
        $looser = $this->planner->plan(SolveFor::with($request, $n, $outset->with(['course' => $outset->course->with(['rhythm' => $is + 1])])));
        $more = $looser->courses[$n]->expected - $plan->courses[$n]->expected;

        return self::isWorthSaying($more, $plan->courses[$n]->expected) ? Message::of('plan.cost_rhythm', count: $is, looser: $is + 1, more: round($more, 1)) : null;
    }

    private static function isWorthSaying(float $more, float $expected): bool
    {
        return $more > self::WORTH_SAYING * max(1.0, $expected);
    }
}
