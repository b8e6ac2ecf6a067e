<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A named stretch of a form. */
#[OA\Schema]
final readonly class SectionData
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $first,
        #[OA\Property]
        public int $last,
    ) {
    }
}
