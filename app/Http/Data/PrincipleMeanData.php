<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What a group recalls of a principle on average. */
#[OA\Schema]
final readonly class PrincipleMeanData
{
    /**
     * @param  float|null  $mean  0..1; who never met it counts as nothing
     * @param  bool  $slips  worked on, and not recalled any more
     */
    public function __construct(
        #[OA\Property]
        public string $principle,
        #[OA\Property]
        public ?float $mean,
        #[OA\Property]
        public bool $slips,
        #[OA\Property]
        public int $met,
    ) {
    }
}
