<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A student in the list of everyone. */
final readonly class StudentRow
{
    /**
     * @param  list<StudentGroupName>  $groups  those they are in now
     * @param  string|null  $lastSeen  the day of the last class they came to
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $lastSeen,
        public array $groups,
        public bool $isOffList,
    ) {
    }
}
