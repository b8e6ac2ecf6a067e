<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** One entry that can be reviewed: what that is worth (it can be less than nothing), and the minutes it takes, 0 or more. */
final readonly class ReviewItem
{
    public function __construct(public float $value, public float $minutes)
    {
    }
}
