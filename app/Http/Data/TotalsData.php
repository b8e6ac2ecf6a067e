<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What a form adds up to. */
final readonly class TotalsData
{
    /** @param  array{float, float}  $travel  forward and to the right, in steps */
    public function __construct(
        public int $entries,
        public int $movements,
        public float $load,
        public float $seconds,
        public float $turn,
        public array $travel,
        public float $left,
        public float $right,
    ) {
    }
}
