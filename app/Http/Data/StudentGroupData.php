<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A group a student is or was in, and how often they came. */
final readonly class StudentGroupData
{
    /**
     * @param  string|null  $leftOn  null while they are in it
     * @param  int  $came  of the classes that were logged since they joined
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $joinedOn,
        public ?string $leftOn,
        public int $came,
        public int $classes,
    ) {
    }
}
