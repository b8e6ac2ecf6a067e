<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What a student does otherwise in one way of doing an entry. */
#[OA\Schema]
final readonly class CareVariantData
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $do,
    ) {
    }
}
