<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A lesson of a cut that is tried. */
#[OA\Schema]
final readonly class CutLesson
{
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public float $load,
        #[OA\Property]
        public ?PassageData $recap,
    ) {
    }
}
