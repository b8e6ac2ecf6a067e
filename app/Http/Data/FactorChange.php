<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What reading recall by another factor would change. */
final readonly class FactorChange
{
    /** @param  int  $holdsBefore  movements that hold, over everyone */
    public function __construct(
        public float $factor,
        public ReliabilityData $after,
        public int $holdsBefore,
        public int $holdsAfter,
    ) {
    }
}
