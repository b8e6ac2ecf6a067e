<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Days without class, and what a calendar calls them. */
final readonly class NamedClosure
{
    public function __construct(
        public string $from,
        public string $to,
        public string $title,
    ) {
    }
}
