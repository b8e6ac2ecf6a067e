<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** How long a form takes. */
#[OA\Schema]
final readonly class TimesData
{
    /** @param  list<StretchTimes>  $stretches */
    public function __construct(
        #[OA\Property]
        public StretchTimes $whole,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StretchTimes::class))]
        public array $stretches,
        #[OA\Property]
        public float $breathSeconds,
        #[OA\Property]
        public bool $isBreathAssumed,
        #[OA\Property]
        public float $showingPace,
    ) {
    }
}
