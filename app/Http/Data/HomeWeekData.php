<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\HomeWeek;
use App\Actions\StudentSheet;
use OpenApi\Attributes as OA;

/** The days between two classes of a group, and what each student practises on them. */
#[OA\Schema]
final readonly class HomeWeekData
{
    /**
     * @param  list<HomeFocusData>  $focus
     * @param  list<StudentSheetData>  $sheets
     */
    public function __construct(
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $next,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public int $days,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HomeFocusData::class))]
        public array $focus,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentSheetData::class))]
        public array $sheets,
        #[OA\Property]
        public ?GroupSheetData $together,
    ) {
    }

    public static function of(HomeWeek $week): self
    {
        return new self($week->on, $week->next, $week->minutes, $week->days, array_map(HomeFocusData::of(...), $week->focus), array_map(static fn (StudentSheet $one): StudentSheetData => StudentSheetData::of($one, $week), $week->sheets), $week->together === null ? null : GroupSheetData::of($week->together, $week));
    }
}
