<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One breath in or out, or a pause, of an entry. */
#[OA\Schema]
final readonly class BeatData
{
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public string $breath,
        #[OA\Property]
        public ?float $seconds,
        #[OA\Property]
        public ?string $cue,
        #[OA\Property]
        public int $time,
    ) {
    }
}
