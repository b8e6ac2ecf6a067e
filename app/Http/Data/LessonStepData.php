<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One pass through a lesson: who moves, and how much is still cued. */
#[OA\Schema]
final readonly class LessonStepData
{
    public function __construct(
        #[OA\Property(enum: ['watch', 'together', 'alone'])]
        public string $mode,
        #[OA\Property(enum: ['all', 'key_words', 'first_word', 'none'])]
        public string $cues,
        #[OA\Property]
        public ?string $text,
    ) {
    }
}
