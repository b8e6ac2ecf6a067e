<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What was said between one tenth and the next, and what was seen of it. */
final readonly class ReliabilityTenthData
{
    /** @param  int  $tenth  0 for 0 to 10 % */
    public function __construct(
        public int $tenth,
        public int $tests,
        public float $predicted,
        public float $observed,
    ) {
    }
}
