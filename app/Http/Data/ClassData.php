<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What a device needs to run a class, beside its plan and its people. */
#[OA\Schema]
final readonly class ClassData
{
    /**
     * @param  list<ClassCardsData>  $cards  by course
     * @param  list<WatchData>  $watch  everyone worth looking at, the most needed first
     * @param  int  $shown  how many of them are named at once
     * @param  list<StopData>  $stops  where the class may be stopped, draw by draw
     * @param  list<StoodData>  $stood  where everyone stands in the other forms; in the first the page of the meeting says it
     * @param  list<PartnerData>  $partners  drills for two that can be done, tonight's first
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClassCardsData::class))]
        public array $cards,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WatchData::class))]
        public array $watch,
        #[OA\Property]
        public int $shown,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StopData::class))]
        public array $stops,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StoodData::class))]
        public array $stood,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartnerData::class))]
        public array $partners,
    ) {
    }
}
