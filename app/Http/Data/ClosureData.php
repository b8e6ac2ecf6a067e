<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Days without class, both ends inside. */
final readonly class ClosureData
{
    public function __construct(
        public string $from,
        public string $to,
    ) {
    }
}
