<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Student;
use OpenApi\Attributes as OA;

/** A student on record. */
#[OA\Schema]
final readonly class StudentNameData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
    ) {
    }

    public static function of(Student $student): self
    {
        return new self($student->id, $student->name);
    }
}
