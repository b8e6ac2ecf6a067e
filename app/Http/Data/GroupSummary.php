<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A group in the list of groups. */
#[OA\Schema]
final readonly class GroupSummary
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $room,
        #[OA\Property]
        public string $formId,
        #[OA\Property]
        public string $formTitle,
        #[OA\Property]
        public int $students,
        #[OA\Property]
        public ?string $termId,
    ) {
    }
}
