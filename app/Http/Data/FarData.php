<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A student who is far from what the class should come to. */
#[OA\Schema]
final readonly class FarData
{
    public function __construct(
        #[OA\Property(format: 'uuid')]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'movements')]
        public int $behind,
    ) {
    }
}
