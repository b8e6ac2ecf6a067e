<?php

declare(strict_types=1);

namespace App\Http\Data;

/** An entry that is remembered least. */
final readonly class WeakEntry
{
    public function __construct(
        public int $at,
        public float $recall,
    ) {
    }
}
