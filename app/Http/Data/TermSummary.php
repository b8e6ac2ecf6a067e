<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A term in the list of terms. */
#[OA\Schema]
final readonly class TermSummary
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $groupId,
        #[OA\Property]
        public string $groupName,
        #[OA\Property]
        public string $formTitle,
        #[OA\Property]
        public string $startsOn,
        #[OA\Property]
        public string $endsOn,
        #[OA\Property]
        public int $meetings,
        #[OA\Property]
        public int $held,
    ) {
    }
}
