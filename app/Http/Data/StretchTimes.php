<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Time\Pace;
use Gorvan\Core\Form\Time\Stretch;

/** How long a section takes, or a stretch that stands in none. */
final readonly class StretchTimes
{
    public function __construct(
        public ?string $title,
        public int $from,
        public int $to,
        public PaceTimes $seconds,
        public int $assumed,
        public int $untilTold,
    ) {
    }

    public static function of(Stretch $stretch): self
    {
        return new self(
            $stretch->title,
            $stretch->from,
            $stretch->to,
            new PaceTimes($stretch->at(Pace::ClassPace), $stretch->at(Pace::Half), $stretch->at(Pace::Showing)),
            $stretch->assumed,
            $stretch->untilTold,
        );
    }
}
