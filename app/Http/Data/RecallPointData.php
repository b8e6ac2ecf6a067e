<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Recall on a day. */
final readonly class RecallPointData
{
    public function __construct(
        public string $on,
        public float $recall,
    ) {
    }
}
