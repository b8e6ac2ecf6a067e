<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** One row of a weekly pattern: a weekday, a local time `HH:MM`, and how many minutes it lasts. */
final readonly class WeeklyMeeting
{
    public function __construct(public Weekday $weekday, public string $at, public int $minutes)
    {
    }
}
