<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A form or a group that was found. */
final readonly class FoundNamed
{
    public function __construct(
        public string $id,
        public string $title,
    ) {
    }
}
