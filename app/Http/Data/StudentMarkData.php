<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A mark of a student. */
#[OA\Schema]
final readonly class StudentMarkData
{
    public function __construct(
        #[OA\Property(description: 'the movement or the principle')]
        public string $what,
        #[OA\Property]
        public ?string $side,
        #[OA\Property]
        public bool $isPrinciple,
        #[OA\Property]
        public string $level,
    ) {
    }
}
