<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A student, and the groups they are in. */
final readonly class NamedStudentData
{
    /**
     * @param  list<string>  $groups
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $groups,
    ) {
    }
}
