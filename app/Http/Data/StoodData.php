<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Where a student stands in a form of the evening that is not its first. */
#[OA\Schema]
final readonly class StoodData
{
    /** @param  list<CellData>  $cells */
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $studentId,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CellData::class))]
        public array $cells,
    ) {
    }
}
