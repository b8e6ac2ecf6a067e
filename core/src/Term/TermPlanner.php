<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Internal\CourseWalk;
use Gorvan\Core\Term\Internal\MeetingPlanner;
use Gorvan\Core\Term\Internal\TermCalendar;

/**
 * Plans a term (engine 9): walks its meetings in date order with every student's memory simulated, and at each gives of every
 * course the next lesson or a meeting that holds what is there; review fills its box by what it is worth ({@see ReviewChooser}).
 *
 * Pure: the same request gives the same plan.
 */
final readonly class TermPlanner
{
    /**
     * @param  (callable(): void)|null  $goesOn  called for every meeting that is planned; the plan does not depend on it
     *
     * @throws BoxesTooLong
     */
    public function plan(TermRequest $request, ?callable $goesOn = null): TermPlan
    {
        $rounds = array_map(static fn (): ?int => null, $request->courses);
        foreach ($request->courses as $n => $outset) {
            if ($outset->course->approach === Approach::OutlineFirst) {
                $rounds[$n] = $this->firstRound($request, $n, $rounds, $goesOn);
            }
        }

        $plan = $this->walk($request, $rounds, $goesOn)[0];
        if ($request->warmUps !== null) {
            $plan = $plan->withWarmUps($request->warmUps);
        }
        if ($request->focus === null) {
            return $plan;
        }
        $entries = array_map(static fn (MeetingPlan $meeting): array => $meeting->entries(), $plan->meetings);

        return $plan->withFocuses((new FocusPlanner)->lay($request->seed, $request->focus, $request->meetings, $entries));
    }

    /**
     * How far an outline's first round goes: as many lessons as both rounds fit, at least one where nothing is outlined yet.
     *
     * @param  array<int, int|null>  $rounds  by course
     * @param  (callable(): void)|null  $goesOn
     */
    private function firstRound(TermRequest $request, int $n, array $rounds, ?callable $goesOn): int
    {
        $all = count(Internal\LessonQueue::of($request->courses[$n]));
        $isDone = function (int $round) use ($request, $n, $rounds, $goesOn): bool {
            $rounds[$n] = $round;

            return $this->walk($request, $rounds, $goesOn)[1][$n]->queued() === [];
        };
        [$least, $most] = [0, $all];
        while ($least < $most) {
            $middle = intdiv($least + $most + 1, 2);
            [$least, $most] = $isDone($middle) ? [$middle, $most] : [$least, $middle - 1];
        }

        return $least === 0 && $request->courses[$n]->taught === [] ? 1 : $least;
    }

    /**
     * @param  array<int, int|null>  $rounds  by course
     * @param  (callable(): void)|null  $goesOn
     * @return array{TermPlan, non-empty-list<CourseWalk>}
     */
    private function walk(TermRequest $request, array $rounds, ?callable $goesOn): array
    {
        $calendar = new TermCalendar($request->meetings);
        $walks = array_map(static fn (CourseOutset $outset, ?int $round): CourseWalk => new CourseWalk($request->seed, $outset, $round), $request->courses, $rounds);
        $planned = $reviews = $warnings = [];
        foreach ($request->meetings as $at => $meeting) {
            if ($meeting->isOpen) {
                if ($goesOn !== null) {
                    $goesOn();
                }
                $planner = new MeetingPlanner($walks, $calendar, $at);
                $planned[$at] = $planner->plan();
                $reviews[$at] = $planner->problems;
                array_push($warnings, ...self::missedPins($meeting, $planned[$at]));
            }
        }
        $forecasts = array_map(static fn (CourseWalk $walk): CourseForecast => $walk->outcome($calendar->end()), $walks);
        foreach ($walks as $n => $walk) {
            foreach (TermWarnings::of($walk->outset, $forecasts[$n], $planned) as $warning) {
                $warnings[] = count($walks) === 1 ? $warning : Message::of('plan.in_course', title: $walk->outset->course->form->title, what: $warning);
            }
        }

        return [new TermPlan($planned, $forecasts, $warnings, $reviews, array_sum(array_map(static fn (CourseWalk $walk): int => $walk->class->updates, $walks))), $walks];
    }

    /** @return list<Message> lessons that were pinned to a meeting and do not come to it */
    private static function missedPins(TermMeeting $meeting, MeetingPlan $plan): array
    {
        $missed = [];
        foreach ($meeting->pins->lessons as $course => $number) {
            $given = array_map(static fn (PlannedLesson $lesson): ?int => $lesson->number, $plan->course((string) $course)?->lessons() ?? []);
            if ($plan->course((string) $course) !== null && ! in_array($number, $given, true)) {
                $missed[] = Message::of('plan.pin_missed', number: $number, on: $meeting->on);
            }
        }

        return $missed;
    }
}
