<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What a form adds up to. */
#[OA\Schema]
final readonly class TotalsData
{
    /** @param  array{float, float}  $travel  forward and to the right, in steps */
    public function __construct(
        #[OA\Property]
        public int $entries,
        #[OA\Property]
        public int $movements,
        #[OA\Property]
        public float $load,
        #[OA\Property]
        public float $seconds,
        #[OA\Property]
        public float $turn,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $travel,
        #[OA\Property]
        public float $left,
        #[OA\Property]
        public float $right,
    ) {
    }
}
