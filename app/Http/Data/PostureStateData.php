<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The state of a part of the body. */
#[OA\Schema]
final readonly class PostureStateData
{
    public function __construct(
        #[OA\Property]
        public string $part,
        #[OA\Property]
        public string $state,
    ) {
    }
}
