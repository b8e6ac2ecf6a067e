<?php

declare(strict_types=1);

namespace App\Http\Data;

/** The state of a part of the body. */
final readonly class PostureStateData
{
    public function __construct(
        public string $part,
        public string $state,
    ) {
    }
}
