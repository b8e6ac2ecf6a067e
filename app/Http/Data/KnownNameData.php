<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A name that is there already, and whose it is. */
final readonly class KnownNameData
{
    /**
     * @param  list<NamedStudentData>  $students
     */
    public function __construct(
        public string $name,
        public array $students,
    ) {
    }
}
