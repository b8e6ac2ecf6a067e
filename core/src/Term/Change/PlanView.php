<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\MeetingPlan;

/** A plan as it is compared with another: its meetings with what each is meant to hold, and what the courses come to. */
final readonly class PlanView
{
    /**
     * @param  list<DraftMeeting>  $meetings
     * @param  array<string, MeetingPlan>  $plans  by meeting
     * @param  list<CourseForecast>  $forecasts
     */
    public function __construct(public array $meetings, public array $plans, public array $forecasts)
    {
    }

    public function expected(): float
    {
        return array_sum(array_map(static fn (CourseForecast $one): float => $one->expected, $this->forecasts));
    }

    /** @return array<string, array<string, string>> the day of each new lesson, by course and number */
    public function lessons(): array
    {
        $days = [];
        foreach ($this->meetings as $meeting) {
            foreach ($meeting->state->takesPlace() ? $this->plans[$meeting->id]->courses ?? [] : [] as $course) {
                foreach ($course->lessons() as $lesson) {
                    if ($lesson->number !== null) {
                        $days[$course->course]["{$lesson->kind->value} $lesson->number"] ??= $meeting->on;
                    }
                }
            }
        }

        return $days;
    }
}
