<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A form as one group learns it in one term, by name. */
final readonly class CourseNameData
{
    public function __construct(
        public string $id,
        public string $group,
        public string $term,
    ) {
    }
}
