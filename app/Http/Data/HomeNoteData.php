<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\HomePractice;
use OpenApi\Attributes as OA;

/** What a student noted of practising at home. */
#[OA\Schema]
final readonly class HomeNoteData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public ?int $minutes,
        #[OA\Property]
        public ?bool $fromMemory,
        #[OA\Property]
        public int $entries,
    ) {
    }

    /** @param  HomePractice  $note  with its student */
    public static function of(HomePractice $note): self
    {
        return new self($note->id, $note->student_id, $note->student->name, $note->on, $note->minutes, $note->from_memory, count($note->practised()));
    }
}
