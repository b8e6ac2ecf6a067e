<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A lesson of the cut, with the recap that leads into it. */
#[OA\Schema]
final readonly class LessonData
{
    /** @param  list<RoundData>  $rounds  in a course; none on the form's own page */
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
        #[OA\Property]
        public float $seconds,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RoundData::class))]
        public array $rounds,
    ) {
    }
}
