<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What was said between one tenth and the next, and what was seen of it. */
#[OA\Schema]
final readonly class ReliabilityTenthData
{
    public function __construct(
        #[OA\Property(description: '0 for 0 to 10 %')]
        public int $tenth,
        #[OA\Property]
        public int $tests,
        #[OA\Property]
        public float $predicted,
        #[OA\Property]
        public float $observed,
    ) {
    }
}
