<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\CatchUp;
use OpenApi\Attributes as OA;

/** A passage a student has to catch up with. */
#[OA\Schema]
final readonly class CatchUpData
{
    /** @param  list<LackingData>  $lacking  its movements, in order */
    public function __construct(
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property(enum: ['recap', 'review', 'later'])]
        public string $need,
        #[OA\Property]
        public int $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LackingData::class))]
        public array $lacking,
    ) {
    }

    public static function of(CatchUp $one): self
    {
        return new self($one->passage->from, $one->passage->to, $one->need->value, $one->minutes, array_map(LackingData::of(...), $one->lacking));
    }
}
