<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Days without class, and what a calendar calls them. */
#[OA\Schema]
final readonly class NamedClosure
{
    public function __construct(
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
        #[OA\Property]
        public string $title,
    ) {
    }
}
