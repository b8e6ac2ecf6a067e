<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\LessonKind;
use OpenApi\Attributes as OA;

/** What a lesson takes in one round of its course's approach: minutes a unit of load, and whole minutes. */
#[OA\Schema]
final readonly class RoundData
{
    public function __construct(
        #[OA\Property(enum: ['new', 'detail'])]
        public string $kind,
        #[OA\Property]
        public float $rate,
        #[OA\Property]
        public int $minutes,
    ) {
    }

    /** @return list<self> none, where no course says how the material goes round */
    public static function of(?Approach $approach, float $load): array
    {
        return $approach === null ? [] : array_map(static fn (LessonKind $kind): self => new self($kind->value, $approach->minutesPerLoad($kind), $approach->minutesFor($load, $kind)), [LessonKind::Fresh, LessonKind::Detail]);
    }
}
