<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A known passage to go through again. */
#[OA\Schema]
final readonly class ReviewData
{
    public function __construct(
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public int $passes,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public ?float $meanRecall,
    ) {
    }
}
