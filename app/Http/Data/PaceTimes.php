<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Seconds at each pace. */
final readonly class PaceTimes
{
    public function __construct(
        public float $class,
        public float $half,
        public float $showing,
    ) {
    }
}
