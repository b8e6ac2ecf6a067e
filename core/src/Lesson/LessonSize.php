<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

/**
 * How large lessons should be, as a teacher says it: how many, or their load, or the minutes of new work and what one unit of
 * load takes; and how much a good place to stop weighs. Null is not said.
 */
final readonly class LessonSize
{
    /** Minutes a unit of load takes where no group has shown its own pace: piece by piece (engine 9). */
    public const MINUTES_PER_LOAD = 8.0;

    /**
     * @param  float|null  $load  of a lesson, more than 0
     * @param  int|null  $count  how many lessons; it stands before the load and the minutes
     * @param  float|null  $minutes  of new work in a lesson
     * @param  float|null  $minutesPerLoad  that one unit of load takes
     * @param  float|null  $lambda  what a poor place to stop weighs against lessons of unequal load
     *
     * @throws CutImpossible
     */
    public function __construct(
        public ?float $load = null,
        public ?int $count = null,
        public ?float $minutes = null,
        public ?float $minutesPerLoad = null,
        public ?float $lambda = null,
    ) {
        $this->within('minutes', $minutes, 1.0, 180.0);
        $this->within('minutes_per_load', $minutesPerLoad, 0.5, 60.0);
        $this->within('lambda', $lambda, 0.0, 10.0);
    }

    /** The load of a lesson that was said, or that its minutes come to; null where nothing was said or the count stands. */
    public function target(float $usualMinutesPerLoad = self::MINUTES_PER_LOAD): ?float
    {
        return match (true) {
            $this->count !== null => null,
            $this->load !== null => $this->load,
            $this->minutes !== null => $this->minutes / ($this->minutesPerLoad ?? $usualMinutesPerLoad),
            default => null,
        };
    }

    /** @throws CutImpossible */
    private function within(string $what, ?float $is, float $least, float $most): void
    {
        if ($is !== null && ! ($is >= $least && $is <= $most)) {
            throw SizeOutOfRange::of($what, $is, $least, $most);
        }
    }
}
