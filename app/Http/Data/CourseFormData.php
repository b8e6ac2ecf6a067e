<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Http\FormEdition;
use App\Models\Course;

/** Which form a course is of, and in which state: as the course has it cut. */
final readonly class CourseFormData
{
    public function __construct(
        public string $courseId,
        public string $formId,
        public string $title,
        public string $edition,
    ) {
    }

    public static function of(Course $course): self
    {
        return new self($course->id, $course->form_id, $course->form->title, FormEdition::inCourse($course));
    }
}
