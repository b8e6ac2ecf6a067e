<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Which form a course is of. */
#[OA\Schema]
final readonly class CourseFormData
{
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $formId,
        #[OA\Property]
        public string $title,
    ) {
    }
}
