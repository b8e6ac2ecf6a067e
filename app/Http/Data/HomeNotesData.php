<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What came back from home. */
final readonly class HomeNotesData
{
    /**
     * @param  list<HomeNoteData>  $practices  the latest first
     * @param  list<StudentQuestionData>  $questions  those without an answer first, then the latest
     */
    public function __construct(
        public array $practices,
        public array $questions,
    ) {
    }
}
