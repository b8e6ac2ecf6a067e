<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Cue cards of everything one course touches tonight, and what is otherwise where the teacher turns. */
#[OA\Schema]
final readonly class ClassCardsData
{
    /**
     * @param  list<CueCardData>  $cards  as the teacher faces the class
     * @param  list<TurnedCardData>  $turned  as the teacher faces the way the class does, card by card
     */
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CueCardData::class))]
        public array $cards,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TurnedCardData::class))]
        public array $turned,
    ) {
    }
}
