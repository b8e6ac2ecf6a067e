<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

/** What one student's practice is chosen from: the days it falls between, and each entry of the form in order. */
final readonly class PracticeRequest
{
    /** A day, and days, *default*. */
    public const MINUTES = 10.0;

    public const DAYS = 4;

    /**
     * @param  int  $on  the day of the meeting before ({@see \Gorvan\Core\Reading\Day}), and `next` of the one after it
     * @param  list<PracticeItem|null>  $entries  null for one that is not met, or not to be done at home; it parts its neighbours
     * @param  float  $minutes  a day
     */
    public function __construct(public int $on, public int $next, public array $entries, public float $minutes = self::MINUTES, public int $days = self::DAYS)
    {
    }
}
