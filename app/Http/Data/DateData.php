<?php

declare(strict_types=1);

namespace App\Http\Data;

/** One meeting a term would have. */
final readonly class DateData
{
    public function __construct(
        public string $on,
        public string $startsAt,
        public int $minutes,
    ) {
    }
}
