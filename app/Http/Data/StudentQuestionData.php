<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\StudentQuestion;
use OpenApi\Attributes as OA;

/** What a student asked from home, and the answer. */
#[OA\Schema]
final readonly class StudentQuestionData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $at,
        #[OA\Property]
        public ?string $answer,
    ) {
    }

    /** @param  StudentQuestion  $one  with its student */
    public static function of(StudentQuestion $one): self
    {
        return new self($one->id, $one->student_id, $one->student->name, $one->text, $one->at->toRfc3339String(), $one->answer);
    }
}
