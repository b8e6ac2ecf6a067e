<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\StudentQuestion;

/** What a student asked from home, and the answer. */
final readonly class StudentQuestionData
{
    public function __construct(
        public string $id,
        public string $studentId,
        public string $name,
        public string $text,
        public string $at,
        public ?string $answer,
    ) {
    }

    /** @param  StudentQuestion  $one  with its student */
    public static function of(StudentQuestion $one): self
    {
        return new self($one->id, $one->student_id, $one->student->name, $one->text, $one->at->toRfc3339String(), $one->answer);
    }
}
