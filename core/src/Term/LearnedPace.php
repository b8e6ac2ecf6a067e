<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * How many minutes a unit of load takes a group in one round (engine 9, as its own lessons have shown): minutes over load of the
 * last six lessons, in which what is usual for the approach counts as two more.
 */
final readonly class LearnedPace
{
    public const LESSONS = 6;

    private const USUAL_COUNTS = 2;

    /** Nobody teaches a unit of load faster, or slower; a slip of the pen does not stretch a term. Minutes. */
    private const LEAST = 1.0;

    private const MOST = 60.0;

    /**
     * @param  float  $usual  minutes a unit of load, of the approach
     * @param  float  $minutes  minutes a unit of load, as learned
     * @param  int  $lessons  how many lessons it was learned from
     */
    private function __construct(public float $usual, public float $minutes, public int $lessons)
    {
    }

    /** How many times as long as usual. */
    public function ofUsual(): float
    {
        return $this->lessons === 0 ? 1.0 : $this->minutes / $this->usual;
    }

    /** @param  list<array{minutes: float, load: float}>  $taught  lessons in the order in which they were given */
    public static function of(float $usual, array $taught): self
    {
        $rates = [];
        foreach ($taught as $lesson) {
            if ($lesson['minutes'] > 0.0 && $lesson['load'] > 0.0) {
                $rates[] = max(self::LEAST, min(self::MOST, $lesson['minutes'] / $lesson['load']));
            }
        }
        $last = array_slice($rates, -self::LESSONS);

        return new self($usual, (array_sum($last) + self::USUAL_COUNTS * $usual) / (count($last) + self::USUAL_COUNTS), count($last));
    }
}
