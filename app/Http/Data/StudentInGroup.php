<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Where a student stands in a group’s form. */
final readonly class StudentInGroup
{
    /**
     * @param  int|null  $frontier  the number, or else the position, up to which they are secure
     * @param  int  $holds  movements that hold
     * @param  int  $slipping  movements once seen alone or better that hold no more
     */
    public function __construct(
        public string $studentId,
        public ?int $frontier,
        public int $holds,
        public int $slipping,
    ) {
    }
}
