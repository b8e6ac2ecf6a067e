<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What came back from home. */
#[OA\Schema]
final readonly class HomeNotesData
{
    /**
     * @param  list<HomeNoteData>  $practices  the latest first
     * @param  list<StudentQuestionData>  $questions  those without an answer first, then the latest
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: HomeNoteData::class))]
        public array $practices,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentQuestionData::class))]
        public array $questions,
    ) {
    }
}
