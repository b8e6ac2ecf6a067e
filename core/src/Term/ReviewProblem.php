<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * What tonight's review is chosen from (engine 7): for each entry of the form, in order, what going through it is worth and
 * the minutes it takes; null for one that is not known, which also parts its neighbours.
 */
final readonly class ReviewProblem
{
    /** Minutes are counted in quarters. */
    public const QUARTERS = 4;

    /** Minutes to set up a passage, *default*. */
    public const SET_UP = 1.5;

    /**
     * @param  list<ReviewItem|null>  $entries
     * @param  float  $budget  minutes, 0 or more
     * @param  float  $setUp  minutes each passage costs before its first entry
     * @param  int|null  $most  passages, at most; null for any number
     */
    public function __construct(public array $entries, public float $budget, public float $setUp = self::SET_UP, public ?int $most = null)
    {
    }

    /** Quarter minutes, rounded up; what is a whole number of them but for the arithmetic stays so. */
    public static function quarters(float $minutes): int
    {
        return (int) ceil(round($minutes * self::QUARTERS, 9));
    }
}
