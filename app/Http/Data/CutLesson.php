<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A lesson of a cut that is tried. */
final readonly class CutLesson
{
    public function __construct(
        public int $number,
        public int $from,
        public int $to,
        public float $load,
        public ?PassageData $recap,
    ) {
    }
}
