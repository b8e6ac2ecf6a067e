<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A link that was made just now: its address is told this once. */
#[OA\Schema]
final readonly class MadeLinkData
{
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $address,
        #[OA\Property]
        public string $expiresAt,
    ) {
    }
}
