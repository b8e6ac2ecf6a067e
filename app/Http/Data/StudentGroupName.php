<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A group a student is in. */
final readonly class StudentGroupName
{
    public function __construct(
        public string $id,
        public string $name,
    ) {
    }
}
