<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\HomeWeek;
use App\Actions\StudentSheet;

/** The days between two classes of a group, and what each student practises on them. */
final readonly class HomeWeekData
{
    /**
     * @param  list<HomeFocusData>  $focus
     * @param  list<StudentSheetData>  $sheets
     */
    public function __construct(
        public string $on,
        public string $next,
        public float $minutes,
        public int $days,
        public array $focus,
        public array $sheets,
        public ?GroupSheetData $together,
    ) {
    }

    public static function of(HomeWeek $week): self
    {
        return new self($week->on, $week->next, $week->minutes, $week->days, array_map(HomeFocusData::of(...), $week->focus), array_map(static fn (StudentSheet $one): StudentSheetData => StudentSheetData::of($one, $week), $week->sheets), $week->together === null ? null : GroupSheetData::of($week->together, $week));
    }
}
