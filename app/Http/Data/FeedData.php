<?php

declare(strict_types=1);

namespace App\Http\Data;

/** The private address of a group's calendar. */
final readonly class FeedData
{
    public function __construct(
        public string $address,
    ) {
    }
}
