<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Time\Pace;
use Gorvan\Core\Form\Time\Stretch;
use OpenApi\Attributes as OA;

/** How long a section takes, or a stretch that stands in none. */
#[OA\Schema]
final readonly class StretchTimes
{
    public function __construct(
        #[OA\Property]
        public ?string $title,
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public PaceTimes $seconds,
        #[OA\Property]
        public int $assumed,
        #[OA\Property]
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
