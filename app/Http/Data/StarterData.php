<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A set a new school can begin from, as a form file. */
final readonly class StarterData
{
    public function __construct(
        public string $title,
        public int $movements,
        public string $about,
        public string $text,
    ) {
    }
}
