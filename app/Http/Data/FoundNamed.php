<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A form or a group that was found. */
#[OA\Schema]
final readonly class FoundNamed
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
    ) {
    }
}
