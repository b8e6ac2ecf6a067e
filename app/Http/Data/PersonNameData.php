<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A student by name. */
final readonly class PersonNameData
{
    public function __construct(
        public string $id,
        public string $name,
    ) {
    }
}
