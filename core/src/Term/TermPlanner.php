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
    /** Where lessons would end with more than this part of the evenings left, they lie evenly over all of them (engine 9). */
    private const EVENINGS_LEFT = 0.25;

    /**
     * @param  (callable(): void)|null  $goesOn  called for every meeting that is planned; the plan does not depend on it
     */
    public function plan(TermRequest $request, ?callable $goesOn = null): TermPlan
    {
        $spread = array_map(static fn (CourseOutset $outset): bool => $outset->course->spread === true, $request->courses);
        [$plan, $walks] = $this->walk($request, $spread, $goesOn);
        $settled = array_map(static fn (CourseOutset $outset, bool $is, CourseWalk $walk): bool => $is || self::endsEarly($outset, $walk), $request->courses, $spread, $walks);
        if ($settled !== $spread) {
            [$again] = $this->walk($request, $settled, $goesOn);
            $plan = $again->after($plan);
        }
        if ($request->warmUps !== null) {
            $plan = $plan->withWarmUps($request->warmUps);
        }
        if ($request->focus === null) {
            return $plan;
        }
        $entries = array_map(static fn (MeetingPlan $meeting): array => $meeting->entries(), $plan->meetings);

        return $plan->withFocuses((new FocusPlanner)->lay($request->seed, $request->focus, $request->meetings, $entries, self::quietly($request)));
    }

    /** Whether nobody said how lessons lie, and they would be over with more than a quarter of the evenings left. */
    private static function endsEarly(CourseOutset $outset, CourseWalk $walk): bool
    {
        $course = $outset->course;
        if ($course->spread !== null || $course->said() !== null || $course->approach === Approach::WholeSet || $course->keepsAlive() || $walk->queued() !== [] || $walk->throughOn() === null) {
            return false;
        }
        $calendar = $walk->calendar;
        $left = count(array_filter($calendar->own, static fn (int $at): bool => $calendar->days[$at] > $walk->throughOn()));

        return $left > self::EVENINGS_LEFT * count($calendar->own);
    }

    /**
     * The evenings on which no principle is new: a showing's, and the one before it.
     *
     * @return list<int> places in the term
     */
    private static function quietly(TermRequest $request): array
    {
        $quiet = [];
        foreach ($request->meetings as $at => $meeting) {
            foreach ($request->courses as $outset) {
                if ($outset->course->showing?->on === $meeting->on) {
                    array_push($quiet, $at - 1, $at);
                }
            }
        }

        return $quiet;
    }

    /**
     * @param  non-empty-list<bool>  $spread  by course
     * @param  (callable(): void)|null  $goesOn
     * @return array{TermPlan, non-empty-list<CourseWalk>}
     */
    private function walk(TermRequest $request, array $spread, ?callable $goesOn): array
    {
        $order = $request->order();
        $calendar = new TermCalendar($request->meetings, null, $order->bringsNew());
        $own = TermTurns::of($request->meetings, array_map(static fn (CourseOutset $outset): Course => $outset->course, $request->courses), $request->turns);
        $walks = array_map(static fn (CourseOutset $outset, bool $is, ?array $of): CourseWalk => new CourseWalk($request->seed, $outset->with(['course' => $outset->course->with(['spread' => $is])]), $of === null ? $calendar : new TermCalendar($request->meetings, $of, $calendar->bringsNew)), $request->courses, $spread, $own);
        $planned = $reviews = $warnings = [];
        foreach ($request->meetings as $at => $meeting) {
            if ($meeting->isOpen) {
                if ($goesOn !== null) {
                    $goesOn();
                }
                $planner = new MeetingPlanner($walks, $calendar, $at, $order);
                $planned[$at] = $planner->plan();
                $reviews[$at] = $planner->problems;
                array_push($warnings, ...self::missedPins($meeting, $planned[$at]));
            }
        }
        $planned = self::withParts($planned);
        $forecasts = array_map(static fn (CourseWalk $walk): CourseForecast => $walk->outcome($calendar->end()), $walks);
        foreach ($walks as $n => $walk) {
            foreach (TermWarnings::of($walk->outset, $forecasts[$n], $planned) as $warning) {
                $warnings[] = count($walks) === 1 ? $warning : Message::of('plan.in_course', title: $walk->outset->course->form->title, what: $warning);
            }
        }

        return [new TermPlan($planned, $forecasts, $warnings, $reviews, array_sum(array_map(static fn (CourseWalk $walk): int => $walk->class->updates, $walks)), $spread), $walks];
    }

    /**
     * A lesson in parts says of how many, once the term is walked to its end.
     *
     * @param  array<int, MeetingPlan>  $planned
     * @return array<int, MeetingPlan>
     */
    private static function withParts(array $planned): array
    {
        $parts = [];
        $key = static fn (CoursePlan $course, PlannedLesson $lesson): string => "$course->course {$lesson->kind->value} $lesson->number";
        foreach ($planned as $meeting) {
            foreach ($meeting->courses as $course) {
                foreach ($course->lessons() as $lesson) {
                    $lesson->part === null || $parts[$key($course, $lesson)] = $lesson->part;
                }
            }
        }
        if ($parts === []) {
            return $planned;
        }
        $said = static fn (CoursePlan $course): CoursePlan => $course->withLessons(array_map(static fn (PlannedLesson $lesson): PlannedLesson => $lesson->part === null ? $lesson : $lesson->of($parts[$key($course, $lesson)]), $course->lessons()));

        return array_map(static fn (MeetingPlan $meeting): MeetingPlan => $meeting->withCourses(array_map($said, $meeting->courses)), $planned);
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
