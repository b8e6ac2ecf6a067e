<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What reading recall by another factor would change. */
#[OA\Schema]
final readonly class FactorChange
{
    public function __construct(
        #[OA\Property]
        public float $factor,
        #[OA\Property]
        public ReliabilityData $after,
        #[OA\Property(description: 'movements that hold, over everyone')]
        public int $holdsBefore,
        #[OA\Property]
        public int $holdsAfter,
    ) {
    }
}
