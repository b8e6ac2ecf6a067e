<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A set of principles to begin from. */
final readonly class PrincipleStarterData
{
    public function __construct(
        public string $title,
        public string $about,
        public int $principles,
        public string $text,
    ) {
    }
}
