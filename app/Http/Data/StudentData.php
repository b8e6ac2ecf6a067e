<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Student;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Standing\Readiness;
use Gorvan\Core\Standing\StudentStanding;

/** One student’s standing in the group’s form. */
final readonly class StudentData
{
    /**
     * @param  list<CellData>  $cells
     * @param  list<int>  $holes
     * @param  list<int>  $behind
     * @param  list<int>  $missed
     * @param  list<NotReadyData>  $why  what keeps them from being ready
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $cells,
        public ?int $frontier,
        public int $holding,
        public array $holes,
        public array $behind,
        public array $missed,
        public ?Readiness $ready,
        public array $why,
    ) {
    }

    /** @param  list<int>  $taught  positions */
    public static function of(Student $student, StudentStanding $standing, array $taught, ?Passage $recap): self
    {
        return new self(
            $student->id,
            $student->name,
            array_map(CellData::of(...), $standing->noted()),
            $standing->frontier(),
            count($standing->holding()),
            $standing->holes($taught),
            $standing->behind($taught),
            $standing->missed($taught),
            $standing->readiness($recap),
            array_map(NotReadyData::of(...), $standing->notReadyIn($recap)),
        );
    }
}
