<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Term\LessonKind;

/** Minutes a unit of load takes a group in one round: as usual for the approach, and as its own lessons have shown. */
final readonly class PaceData
{
    public function __construct(
        public LessonKind $kind,
        public float $usual,
        public float $minutes,
        public int $lessons,
    ) {
    }
}
