<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The join after a position. */
#[OA\Schema]
final readonly class JoinData
{
    public function __construct(
        #[OA\Property]
        public int $after,
        #[OA\Property]
        public float $rest,
        #[OA\Property]
        public ?string $pin,
    ) {
    }
}
