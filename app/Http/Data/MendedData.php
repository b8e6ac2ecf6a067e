<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What often goes wrong, and what is right instead. */
final readonly class MendedData
{
    public function __construct(
        public string $wrong,
        public string $right,
    ) {
    }
}
