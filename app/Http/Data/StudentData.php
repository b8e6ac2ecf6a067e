<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Student;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Standing\StudentStanding;
use OpenApi\Attributes as OA;

/** One student’s standing in the group’s form. */
#[OA\Schema]
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
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CellData::class))]
        public array $cells,
        #[OA\Property]
        public ?int $frontier,
        #[OA\Property]
        public int $holding,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $holes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $behind,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $missed,
        #[OA\Property(enum: ['ready', 'look', 'not_yet'])]
        public ?string $ready,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NotReadyData::class))]
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
            $standing->readiness($recap)?->value,
            array_map(NotReadyData::of(...), $standing->notReadyIn($recap)),
        );
    }
}
