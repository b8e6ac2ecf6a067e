<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One contact with a movement. */
#[OA\Schema]
final readonly class RecallContactData
{
    /**
     * @param  float|null  $before  recall just before it, null at the first
     */
    public function __construct(
        #[OA\Property]
        public string $on,
        #[OA\Property(enum: ['mark', 'taught', 'practice', 'run_through', 'home'])]
        public string $kind,
        #[OA\Property]
        public ?string $level,
        #[OA\Property]
        public ?string $side,
        #[OA\Property]
        public ?float $before,
    ) {
    }
}
