<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\LessonKind;

/** What a lesson takes in one round of its course's approach: minutes a unit of load, and whole minutes. */
final readonly class RoundData
{
    public function __construct(
        public LessonKind $kind,
        public float $rate,
        public int $minutes,
    ) {
    }

    /** @return list<self> none, where no course says how the material goes round */
    public static function of(?Course $course, float $load): array
    {
        return $course === null ? [] : array_map(static fn (LessonKind $kind): self => new self($kind, $course->minutesPerLoad($kind), $course->minutesFor($load, $kind)), array_values(array_unique([$course->approach->firstRound(), $course->approach->mainRound()], SORT_REGULAR)));
    }
}
