<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Movements in a row, by what the first and the last are called; one alone has no last. */
final readonly class BookStretch
{
    public function __construct(
        public string $first,
        public ?string $last,
    ) {
    }
}
