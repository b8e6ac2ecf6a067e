<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Student;

/** A student on record. */
final readonly class StudentNameData
{
    public function __construct(
        public string $id,
        public string $name,
    ) {
    }

    public static function of(Student $student): self
    {
        return new self($student->id, $student->name);
    }
}
