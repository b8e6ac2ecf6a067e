<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The history of one movement: its recall, day by day, and every contact on it. */
#[OA\Schema]
final readonly class RecallCurveData
{
    /**
     * @param  list<RecallPointData>  $points  by day
     * @param  list<RecallContactData>  $contacts  in order
     */
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public ?string $side,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecallPointData::class))]
        public array $points,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecallContactData::class))]
        public array $contacts,
    ) {
    }
}
