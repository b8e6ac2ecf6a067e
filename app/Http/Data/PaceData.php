<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Minutes a unit of load takes a group in one round: as usual for the approach, and as its own lessons have shown. */
#[OA\Schema]
final readonly class PaceData
{
    public function __construct(
        #[OA\Property(enum: ['new', 'rough', 'detail'])]
        public string $kind,
        #[OA\Property]
        public float $usual,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public int $lessons,
    ) {
    }
}
