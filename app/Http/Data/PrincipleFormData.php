<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A form, and how many of its entries a set is joined to. */
#[OA\Schema]
final readonly class PrincipleFormData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $bites,
    ) {
    }
}
