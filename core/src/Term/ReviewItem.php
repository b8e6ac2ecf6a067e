<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** A known passage to go through again: how often, what it takes in minutes, and the mean recall that put it there. */
final readonly class ReviewItem
{
    public function __construct(
        public Passage $passage,
        public int $passes,
        public float $minutes,
        public float $meanRecall,
    ) {
    }
}
