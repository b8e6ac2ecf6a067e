<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A mark made at a meeting, not taken back. */
#[OA\Schema]
final readonly class MarkData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public ?string $entryId,
        #[OA\Property]
        public ?string $principleId,
        #[OA\Property(description: 'of a step of a partner drill')]
        public ?string $stepId,
        #[OA\Property]
        public ?string $side,
        #[OA\Property(description: 'on the ladder of what it is about')]
        public string $support,
        #[OA\Property]
        public string $at,
    ) {
    }
}
