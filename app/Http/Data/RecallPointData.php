<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Recall on a day. */
#[OA\Schema]
final readonly class RecallPointData
{
    public function __construct(
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public float $recall,
    ) {
    }
}
