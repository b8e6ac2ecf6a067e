<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A named stretch of a form. */
final readonly class SectionData
{
    public function __construct(
        public string $title,
        public int $first,
        public int $last,
    ) {
    }
}
