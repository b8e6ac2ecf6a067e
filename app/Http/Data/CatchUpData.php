<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\CatchUp;
use Gorvan\Core\Standing\StudentStanding;
use OpenApi\Attributes as OA;

/** Something a student has to catch up with. */
#[OA\Schema]
final readonly class CatchUpData
{
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public bool $isMissed,
        #[OA\Property(enum: ['recap', 'review', 'later'])]
        public string $need,
        #[OA\Property]
        public ?float $recall,
        #[OA\Property]
        public ?string $support,
    ) {
    }

    public static function of(CatchUp $one, StudentStanding $standing): self
    {
        return new self($one->position, $one->isMissed, $one->need->value, $one->recall, $standing->at($one->position)->whole->support?->name);
    }
}
