<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Lesson\Content\StepMode;

/** One pass through a lesson: who moves, and how much is still cued. */
final readonly class LessonStepData
{
    public function __construct(
        public StepMode $mode,
        public CueFading $cues,
        public ?string $text,
    ) {
    }
}
