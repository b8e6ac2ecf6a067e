<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One student's standing in one entry. */
#[OA\Schema]
final readonly class CellData
{
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public ?string $support,
        #[OA\Property]
        public ?float $recall,
        #[OA\Property(enum: ['good', 'fading', 'weak'])]
        public ?string $sureness,
        #[OA\Property]
        public bool $holds,
        #[OA\Property]
        public bool $isAssumed,
        #[OA\Property]
        public bool $isMet,
        #[OA\Property]
        public ?string $left,
        #[OA\Property]
        public ?string $right,
    ) {
    }
}
