<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\HomeWeek;
use App\Actions\StudentSheet;
use Gorvan\Core\Practice\GroupSheet;
use Gorvan\Core\Practice\Particular;
use Gorvan\Core\Practice\SheetPassage;
use Gorvan\Core\Reading\Day;

/** One sheet for a whole group, with what is particular to each. */
final readonly class GroupSheetData
{
    /**
     * @param  list<string>  $days
     * @param  list<SheetPassageData>  $passages
     * @param  list<ParticularsData>  $particulars  by name
     */
    public function __construct(
        public array $days,
        public float $minutes,
        public array $passages,
        public array $particulars,
    ) {
    }

    public static function of(GroupSheet $sheet, HomeWeek $week): self
    {
        return new self(
            array_map(Day::text(...), $sheet->days),
            $sheet->minutes(),
            array_map(static fn (SheetPassage $one): SheetPassageData => SheetPassageData::of($one, $week->forms[$one->course]->form), $sheet->passages),
            array_values(array_filter(array_map(static function (StudentSheet $one) use ($sheet, $week): ?ParticularsData {
                $own = $sheet->particulars[$one->student->id] ?? [];

                return $own === [] ? null : new ParticularsData($one->student->id, $one->student->name, array_map(static fn (Particular $each): ParticularData => ParticularData::of($each, $week), $own));
            }, $week->sheets))),
        );
    }
}
