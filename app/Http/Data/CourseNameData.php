<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A form as one group learns it in one term, by name. */
#[OA\Schema]
final readonly class CourseNameData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $group,
        #[OA\Property]
        public string $term,
    ) {
    }
}
