<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Cue cards of everything one course touches tonight, turned both ways. */
#[OA\Schema]
final readonly class ClassCardsData
{
    /**
     * @param  list<CueCardData>  $facing  as the teacher faces the class
     * @param  list<CueCardData>  $same  as the teacher faces the way the class does
     */
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CueCardData::class))]
        public array $facing,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CueCardData::class))]
        public array $same,
    ) {
    }
}
