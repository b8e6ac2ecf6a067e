<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** An entry that is remembered least. */
#[OA\Schema]
final readonly class WeakEntry
{
    public function __construct(
        #[OA\Property]
        public int $at,
        #[OA\Property]
        public float $recall,
    ) {
    }
}
