<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Cue cards of everything one course touches tonight, and what is otherwise where the teacher turns. */
final readonly class ClassCardsData
{
    /**
     * @param  list<CueCardData>  $cards  as the teacher faces the class
     * @param  list<TurnedCardData>  $turned  as the teacher faces the way the class does, card by card
     */
    public function __construct(
        public string $courseId,
        public array $cards,
        public array $turned,
    ) {
    }
}
