<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * How much new a usual evening of a course takes in (engine 4): the minutes a unit of load takes in the round its lessons are
 * made for, the load of an evening, and that as movements.
 */
final readonly class CoursePace
{
    /** People tire of newness; whoever says a pace means it. */
    private const LEAST_LOAD = 1.0;

    private const MOST_LOAD = 5.0;

    /**
     * @param  float  $minutes  a unit of load
     * @param  float  $load  of an evening, more than 0
     * @param  float  $movements  an evening
     * @param  bool  $isSaid  the teacher said it
     */
    private function __construct(public float $minutes, public float $load, public float $movements, public bool $isSaid)
    {
    }

    /**
     * @param  float  $newMinutes  of new work of a usual evening
     * @param  float  $load  of the target
     * @param  int  $movements  of the target
     * @param  float  $minutes  a unit of load takes, where nobody says it
     * @param  float|null  $asked  the load of a lesson, where the teacher asks for it
     */
    public static function of(?SaidPace $said, float $newMinutes, float $load, int $movements, float $minutes, ?float $asked = null): self
    {
        $each = $movements > 0 ? $load / $movements : 1.0;
        $each = $each > 0.0 ? $each : 1.0;
        $evening = match (true) {
            $said?->movements !== null => $said->movements * $each,
            $said?->minutes !== null => $newMinutes / $said->minutes,
            default => max(self::LEAST_LOAD, min(self::MOST_LOAD, $newMinutes / $minutes)),
        };

        return new self(match (true) {
            $said?->movements !== null => $newMinutes / $evening,
            default => $said->minutes ?? $minutes,
        }, $asked ?? $evening, ($asked ?? $evening) / $each, $said !== null);
    }
}
