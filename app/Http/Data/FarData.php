<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A student who is far from what the class should come to. */
final readonly class FarData
{
    /** @param  int  $behind  movements */
    public function __construct(
        public string $studentId,
        public string $name,
        public int $behind,
    ) {
    }
}
