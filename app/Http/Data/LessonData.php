<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A lesson of the cut, with the recap that leads into it. */
final readonly class LessonData
{
    /** @param  list<RoundData>  $rounds  in a course; none on the form's own page */
    public function __construct(
        public int $number,
        public int $from,
        public int $to,
        public float $load,
        public ?PassageData $recap,
        public float $seconds,
        public array $rounds,
    ) {
    }
}
