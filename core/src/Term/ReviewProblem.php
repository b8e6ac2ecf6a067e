<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Time\Passes;

/**
 * What tonight's review is chosen from (engine 7): for each entry of the form, in order, what going through it is worth and
 * the minutes it takes; null for one that is not known, which also parts its neighbours.
 */
final readonly class ReviewProblem
{
    /** Minutes are counted in quarters. */
    public const QUARTERS = 4;

    /** Minutes to set up a passage, *default*. */
    public const SET_UP = Passes::SET_UP;

    /** What a minute costs on an evening that could spend it on something new, *default* (engine 7). */
    public const PRICE = 0.02;

    /** Of an entry so many minutes are priced, and no more. */
    private const MOST_PRICED = 2.0;

    /**
     * @param  list<ReviewItem|null>  $entries
     * @param  float  $budget  minutes, 0 or more
     * @param  float  $setUp  minutes each passage costs before its first entry
     * @param  int|null  $most  passages, at most; null for any number
     * @param  float  $price  of a minute
     */
    public function __construct(public array $entries, public float $budget, public float $setUp = self::SET_UP, public ?int $most = null, public float $price = 0.0)
    {
    }

    /** What an entry is worth beside its price: `value - price x min(minutes, 2)`, in the rounded quarters. */
    public function worthOf(ReviewItem $item): float
    {
        return $item->value - ($item->price ?? $this->price) * min(self::quarters($item->minutes) / self::QUARTERS, self::MOST_PRICED);
    }

    /** What setting up a passage costs. */
    public function openingCosts(): float
    {
        return $this->price * self::quarters($this->setUp) / self::QUARTERS;
    }

    /** Quarter minutes, rounded up; what is a whole number of them but for the arithmetic stays so. */
    public static function quarters(float $minutes): int
    {
        return (int) ceil(round($minutes * self::QUARTERS, 9));
    }
}
