<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Days without class, both ends inside. */
#[OA\Schema]
final readonly class ClosureData
{
    public function __construct(
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
    ) {
    }
}
