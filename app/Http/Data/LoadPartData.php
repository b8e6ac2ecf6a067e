<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One summand of an entry's demand. */
#[OA\Schema]
final readonly class LoadPartData
{
    public function __construct(
        #[OA\Property]
        public string $reason,
        #[OA\Property]
        public float $amount,
    ) {
    }
}
