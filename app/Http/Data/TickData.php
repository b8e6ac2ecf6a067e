<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Course;
use App\Models\Meeting;
use DateTimeZone;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingState;
use Gorvan\Core\Term\PlanGlance;

/** One meeting on the season line. */
final readonly class TickData
{
    /** @param  list<int>  $lessonNumbers  of the lessons that are given, or of which some is */
    public function __construct(
        public string $id,
        public string $on,
        public string $startsAt,
        public bool $isHeld,
        public bool $isPast,
        public bool $isToday,
        public ?MeetingKind $kind,
        public array $lessonNumbers,
        public MeetingState $state,
    ) {
    }

    /**
     * @param  Course  $course  the course that is shown
     * @param  list<string>|null  $taught  entries of its form that the log says were taught; null while nobody has said
     * @param  string  $today  `Y-m-d`, where the school is
     * @param  DateTimeZone  $zone  of the school
     */
    public static function of(Meeting $meeting, Course $course, ?array $taught, string $today, DateTimeZone $zone): self
    {
        [$plan, $on] = [$meeting->plan, $meeting->on];
        $plan = $plan === null ? null : PlanGlance::at($plan, $course->id);

        return new self(
            $meeting->id,
            $on,
            $meeting->starts_at->setTimezone($zone)->toRfc3339String(),
            $taught !== null,
            $on < $today,
            $on === $today,
            ($taught === null ? $plan?->kind : MeetingKind::held($plan?->kind, $taught !== [], ($plan->courses ?? 1) === 1)),
            $taught === null ? $plan->lessonNumbers ?? [] : $course->lessonNumbers($taught),
            $meeting->state,
        );
    }
}
