<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\HomeWeek;
use App\Actions\StudentSheet;
use Gorvan\Core\Practice\SheetPassage;
use Gorvan\Core\Reading\Day;

/** What one student takes home. */
final readonly class StudentSheetData
{
    /**
     * @param  list<string>  $days  `Y-m-d`
     * @param  list<SheetPassageData>  $passages
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public array $days,
        public float $minutes,
        public array $passages,
    ) {
    }

    public static function of(StudentSheet $one, HomeWeek $week): self
    {
        return new self($one->student->id, $one->student->name, array_map(Day::text(...), $one->sheet->days), $one->sheet->minutes(), array_map(static fn (SheetPassage $passage): SheetPassageData => SheetPassageData::of($passage, $week->forms[$passage->course]->form), $one->sheet->passages));
    }
}
