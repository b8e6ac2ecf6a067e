<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A lesson of a meeting. */
#[OA\Schema]
final readonly class PlannedLessonData
{
    public function __construct(
        #[OA\Property]
        public ?int $number,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property(description: 'which part of its lesson it is, from 1; null where it is all of it')]
        public ?int $part = null,
        #[OA\Property(description: 'of how many')]
        public ?int $parts = null,
    ) {
    }
}
