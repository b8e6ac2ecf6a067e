<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One meeting a term would have. */
#[OA\Schema]
final readonly class DateData
{
    public function __construct(
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $startsAt,
        #[OA\Property]
        public int $minutes,
    ) {
    }
}
