<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\HomeWeek;
use App\Actions\StudentSheet;
use Gorvan\Core\Practice\SheetPassage;
use Gorvan\Core\Reading\Day;
use OpenApi\Attributes as OA;

/** What one student takes home. */
#[OA\Schema]
final readonly class StudentSheetData
{
    /**
     * @param  list<string>  $days  `Y-m-d`
     * @param  list<SheetPassageData>  $passages
     */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $days,
        #[OA\Property]
        public float $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SheetPassageData::class))]
        public array $passages,
    ) {
    }

    public static function of(StudentSheet $one, HomeWeek $week): self
    {
        return new self($one->student->id, $one->student->name, array_map(Day::text(...), $one->sheet->days), $one->sheet->minutes(), array_map(static fn (SheetPassage $passage): SheetPassageData => SheetPassageData::of($passage, $week->forms[$passage->course]->form), $one->sheet->passages));
    }
}
