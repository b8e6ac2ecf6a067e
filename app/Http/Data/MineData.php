<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** All that a student sees behind their link: their own, and nothing of anybody else. */
#[OA\Schema]
final readonly class MineData
{
    /**
     * @param  list<MineWeekData>  $weeks  a group each
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $school,
        #[OA\Property]
        public string $today,
        #[OA\Property]
        public string $locale,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MineWeekData::class))]
        public array $weeks,
        #[OA\Property]
        public HomeNotesData $notes,
    ) {
    }
}
