<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Group;
use App\Models\Student;

/** A student who was found, and in which groups, by which two of one name are told apart. */
final readonly class FoundStudent
{
    /** @param  list<string>  $groups */
    public function __construct(
        public string $id,
        public string $name,
        public array $groups,
    ) {
    }

    public static function of(Student $student): self
    {
        return new self($student->id, $student->name, array_values($student->groups->sortBy('name')->map(static fn (Group $group): string => $group->name)->all()));
    }
}
