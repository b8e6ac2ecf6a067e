<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The week of one group. */
#[OA\Schema]
final readonly class MineWeekData
{
    /**
     * @param  list<string>  $days
     * @param  list<HomeFocusData>  $focus
     * @param  list<MinePassageData>  $passages
     * @param  list<MineFormData>  $forms
     */
    public function __construct(
        #[OA\Property]
        public string $group,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $next,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $days,
        #[OA\Property]
        public float $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HomeFocusData::class))]
        public array $focus,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MinePassageData::class))]
        public array $passages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MineFormData::class))]
        public array $forms,
    ) {
    }
}
