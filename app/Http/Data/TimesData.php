<?php

declare(strict_types=1);

namespace App\Http\Data;

/** How long a form takes. */
final readonly class TimesData
{
    /** @param  list<StretchTimes>  $stretches */
    public function __construct(
        public StretchTimes $whole,
        public array $stretches,
        public float $breathSeconds,
        public bool $isBreathAssumed,
        public float $showingPace,
    ) {
    }
}
