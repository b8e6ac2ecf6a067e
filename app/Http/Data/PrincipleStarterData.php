<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A set of principles to begin from. */
#[OA\Schema]
final readonly class PrincipleStarterData
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $about,
        #[OA\Property]
        public int $principles,
        #[OA\Property]
        public string $text,
    ) {
    }
}
