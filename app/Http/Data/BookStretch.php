<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Movements in a row, by what the first and the last are called; one alone has no last. */
#[OA\Schema]
final readonly class BookStretch
{
    public function __construct(
        #[OA\Property]
        public string $first,
        #[OA\Property]
        public ?string $last,
    ) {
    }
}
