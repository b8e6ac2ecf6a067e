<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Where a student stands in a form of the evening that is not its first. */
final readonly class StoodData
{
    /** @param  list<CellData>  $cells */
    public function __construct(
        public string $courseId,
        public string $studentId,
        public array $cells,
    ) {
    }
}
