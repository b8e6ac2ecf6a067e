<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;
use Gorvan\Core\Term\TermRequest;

/**
 * What an evening costs, in movements, that a gate, a rhythm, a reserve or the look back holds: the difference of that one evening
 * alone, by planning again with a lesson on it (engine 9); said where it is more than 3 %. The teacher decides. Long work.
 */
final readonly class PlanCosts
{
    private const WORTH_SAYING = 0.03;

    /** Later evenings are held back for the same reason as these. */
    private const MOST_HOLDS = 4;

    private const HELD = ['plan.why.gate', 'plan.why.few_met', 'plan.why.rhythm', 'plan.why.reserve', 'plan.why.look_back'];

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
            foreach (array_filter($own) as $cost) {
                $costs[] = count($request->courses) === 1 ? $cost : Message::of('plan.in_course', title: $outset->course->form->title, what: $cost);
            }
        }
        $progress(100);

        return $costs;
    }

    /** @return list<array{int, Message}> the first evenings that are held back */
    private function holds(TermPlan $plan, string $course): array
    {
        $holds = [];
        foreach ($plan->meetings as $at => $meeting) {
            $why = $meeting->course($course)?->why;
            if ($why !== null && in_array($why->code, self::HELD, true)) {
                $holds[] = [$at, $why];
            }
        }

        return array_slice($holds, 0, self::MOST_HOLDS);
    }

    private function held(TermRequest $request, TermPlan $plan, int $n, int $at, Message $why): ?Message
    {
        $course = $request->courses[$n]->course;
        $meetings = $request->meetings;
        // Only this evening gives: nothing before it hurries on account of it.
        $meetings[$at] = $meetings[$at]->pinned($meetings[$at]->pins->with(['gives' => [$course->id => true]]));
        $forced = $request->bare()->with(['meetings' => array_values($meetings), 'courses' => self::spreadAs($request, $plan)]);
        $more = $this->planner->plan($forced)->courses[$n]->expected - $plan->courses[$n]->expected;

        return self::isWorthSaying($more, $plan->courses[$n]->expected)
            ? Message::of('plan.cost_held', on: $meetings[$at]->on, more: round($more, 1), why: $why)
            : null;
    }

    /** @return non-empty-list<CourseOutset> the courses with their lessons as even as they were settled to be */
    private static function spreadAs(TermRequest $request, TermPlan $plan): array
    {
        return array_map(static fn (CourseOutset $outset, int $at): CourseOutset => $outset->with(['course' => $outset->course->with(['spread' => $plan->spread[$at] ?? $outset->course->spread])]), $request->courses, array_keys($request->courses));
    }

    private static function isWorthSaying(float $more, float $expected): bool
    {
        return $more > self::WORTH_SAYING * max(1.0, $expected);
    }
}
