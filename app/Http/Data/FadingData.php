<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A movement that will not hold much longer. */
#[OA\Schema]
final readonly class FadingData
{
    /**
     * @param  string  $until  the first day on which it is no longer expected to hold
     */
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public string $until,
        #[OA\Property]
        public float $recall,
    ) {
    }
}
