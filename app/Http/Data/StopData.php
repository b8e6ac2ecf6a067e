<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Where a class is stopped to look at it, and what for. */
#[OA\Schema]
final readonly class StopData
{
    /** @param  string|null  $principle  of tonight, in place of a question of common practice */
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public int $position,
        #[OA\Property(enum: ['empty_foot', 'arrived_together', 'three_contacts', 'level_hips'], nullable: true)]
        public ?string $focus,
        #[OA\Property]
        public ?string $principle,
    ) {
    }
}
