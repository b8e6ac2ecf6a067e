<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The price of a cut after a position, null where none can be, and the nearest place where it costs nothing. */
#[OA\Schema]
final readonly class NotchPriceData
{
    public function __construct(
        #[OA\Property]
        public int $after,
        #[OA\Property]
        public ?float $price,
        #[OA\Property]
        public ?int $free,
    ) {
    }
}
