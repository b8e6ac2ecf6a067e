<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A form as the student stands in it, and what of it is to be practised. */
final readonly class MineFormData
{
    /**
     * @param  list<CellData>  $cells
     * @param  list<LinePointData>  $line
     */
    public function __construct(
        public string $courseId,
        public FormData $form,
        public array $cells,
        public array $line,
    ) {
    }
}
