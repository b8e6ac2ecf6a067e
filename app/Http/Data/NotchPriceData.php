<?php

declare(strict_types=1);

namespace App\Http\Data;

/** The price of a cut after a position, null where none can be, and the nearest place where it costs nothing. */
final readonly class NotchPriceData
{
    public function __construct(
        public int $after,
        public ?float $price,
        public ?int $free,
    ) {
    }
}
