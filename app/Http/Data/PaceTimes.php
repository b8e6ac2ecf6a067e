<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Seconds at each pace. */
#[OA\Schema]
final readonly class PaceTimes
{
    public function __construct(
        #[OA\Property]
        public float $class,
        #[OA\Property]
        public float $half,
        #[OA\Property]
        public float $showing,
    ) {
    }
}
