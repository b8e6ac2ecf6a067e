<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What often goes wrong, and what is right instead. */
#[OA\Schema]
final readonly class ErrorData
{
    public function __construct(
        #[OA\Property]
        public string $wrong,
        #[OA\Property]
        public string $right,
    ) {
    }
}
