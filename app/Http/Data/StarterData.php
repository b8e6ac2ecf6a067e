<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A set a new school can begin from, as a form file. */
#[OA\Schema]
final readonly class StarterData
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $movements,
        #[OA\Property]
        public string $about,
        #[OA\Property]
        public string $text,
    ) {
    }
}
