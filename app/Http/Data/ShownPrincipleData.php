<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A principle that an entry of a form shows. */
#[OA\Schema]
final readonly class ShownPrincipleData
{
    public function __construct(
        #[OA\Property]
        public string $setId,
        #[OA\Property]
        public string $setTitle,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public int $strength,
        #[OA\Property]
        public ?string $note,
    ) {
    }
}
