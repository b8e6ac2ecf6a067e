<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * One entry that can be reviewed: what that is worth (it can be less than nothing), the minutes it takes, 0 or more, and what one
 * of its minutes costs, where that is not the problem's own price.
 */
final readonly class ReviewItem
{
    public function __construct(public float $value, public float $minutes, public ?float $price = null)
    {
    }
}
