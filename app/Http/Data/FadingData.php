<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A movement that will not hold much longer. */
final readonly class FadingData
{
    /**
     * @param  string  $until  the first day on which it is no longer expected to hold
     */
    public function __construct(
        public int $position,
        public string $until,
        public float $recall,
    ) {
    }
}
