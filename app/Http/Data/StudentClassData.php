<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A class of a group the student was in then. */
final readonly class StudentClassData
{
    /**
     * @param  list<StudentMarkData>  $marks
     */
    public function __construct(
        public string $meetingId,
        public string $on,
        public string $group,
        public bool $came,
        public ?string $note,
        public array $marks,
    ) {
    }
}
