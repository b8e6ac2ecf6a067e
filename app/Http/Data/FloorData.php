<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The path of a form in a room. */
#[OA\Schema]
final readonly class FloorData
{
    /**
     * @param  list<FootingData>  $footings  the start, and where each entry ends
     * @param  list<int>  $unknown  entries that do not say both turn and travel
     * @param  list<int>  $joins  entries whose turn is left out when all stay faced to the front
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: FootingData::class))]
        public array $footings,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $unknown,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $joins,
        #[OA\Property]
        public float $step,
        #[OA\Property]
        public float $armSpan,
        #[OA\Property]
        public RoomFitData $fit,
    ) {
    }
}
