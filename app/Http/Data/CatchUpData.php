<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\CatchUp;
use Gorvan\Core\Standing\CatchUpNeed;

/** A passage a student has to catch up with. */
final readonly class CatchUpData
{
    /** @param  list<LackingData>  $lacking  its movements, in order */
    public function __construct(
        public int $from,
        public int $to,
        public CatchUpNeed $need,
        public int $minutes,
        public array $lacking,
    ) {
    }

    public static function of(CatchUp $one): self
    {
        return new self($one->passage->from, $one->passage->to, $one->need, $one->minutes, array_map(LackingData::of(...), $one->lacking));
    }
}
