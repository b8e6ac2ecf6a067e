<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Who does something otherwise, or leaves it out. */
#[OA\Schema]
final readonly class CautionData
{
    public function __construct(
        #[OA\Property]
        public string $for,
        #[OA\Property]
        public string $do,
        #[OA\Property]
        public ?string $text,
    ) {
    }
}
