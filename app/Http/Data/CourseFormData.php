<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Http\FormEdition;
use App\Models\Course;
use OpenApi\Attributes as OA;

/** Which form a course is of, and in which state: as the course has it cut. */
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
        #[OA\Property]
        public string $edition,
    ) {
    }

    public static function of(Course $course): self
    {
        return new self($course->id, $course->form_id, $course->form->title, FormEdition::inCourse($course));
    }
}
