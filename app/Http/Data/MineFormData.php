<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A form as the student stands in it, and what of it is to be practised. */
#[OA\Schema]
final readonly class MineFormData
{
    /**
     * @param  list<CellData>  $cells
     * @param  list<LinePointData>  $line
     */
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public FormData $form,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CellData::class))]
        public array $cells,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LinePointData::class))]
        public array $line,
    ) {
    }
}
