<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A personal link that opens something; on how many devices it was opened, since a link cannot tell two people apart. */
#[OA\Schema]
final readonly class LinkData
{
    public function __construct(
        #[OA\Property]
        public string $madeAt,
        #[OA\Property]
        public string $expiresAt,
        #[OA\Property]
        public int $devices,
        #[OA\Property]
        public ?string $lastAt,
    ) {
    }
}
