<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Message;

/**
 * A term laid out: a plan for each open meeting, by its place in the term from 0, what each course should come to, and
 * warnings with numbers.
 */
final readonly class TermPlan
{
    /**
     * @param  array<int, MeetingPlan>  $meetings
     * @param  non-empty-list<CourseForecast>  $courses  in the order of the courses
     * @param  list<Message>  $warnings
     * @param  array<int, list<ReviewProblem>>  $reviews  what the choice of review saw, by meeting and course
     * @param  int  $updates  how many memories were updated to make it
     * @param  list<bool>  $spread  for each course, whether its lessons lie evenly over the evenings
     */
    public function __construct(public array $meetings, public array $courses, public array $warnings, public array $reviews = [], public int $updates = 0, public array $spread = [])
    {
    }

    /** The same, made after another one was tried. */
    public function after(self $tried): self
    {
        return new self($this->meetings, $this->courses, $this->warnings, $this->reviews, $this->updates + $tried->updates, $this->spread);
    }

    /** @param  array<int, list<PlannedFocus>>  $focuses  by meeting */
    public function withFocuses(array $focuses): self
    {
        $meetings = $this->meetings;
        foreach ($focuses as $at => $focus) {
            $meetings[$at] = $meetings[$at]->withFocus($focus);
        }

        return new self($meetings, $this->courses, $this->warnings, $this->reviews, $this->updates, $this->spread);
    }

    public function withWarmUps(WarmUpOutset $outset, WarmUpPlanner $planner = new WarmUpPlanner): self
    {
        return new self(array_map(static fn (MeetingPlan $plan): MeetingPlan => $plan->withWarmUp($planner->choose($outset, $plan)), $this->meetings), $this->courses, $this->warnings, $this->reviews, $this->updates, $this->spread);
    }

    /** Movements expected to be there at the end, over all courses: what a choice costs is counted in these. */
    public function expected(): float
    {
        return array_sum(array_map(static fn (CourseForecast $course): float => $course->expected, $this->courses));
    }
}
