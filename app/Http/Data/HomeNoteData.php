<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\HomePractice;

/** What a student noted of practising at home. */
final readonly class HomeNoteData
{
    public function __construct(
        public string $id,
        public string $studentId,
        public string $name,
        public string $on,
        public ?int $minutes,
        public ?bool $fromMemory,
        public int $entries,
    ) {
    }

    /** @param  HomePractice  $note  with its student */
    public static function of(HomePractice $note): self
    {
        return new self($note->id, $note->student_id, $note->student->name, $note->on, $note->minutes, $note->from_memory, count($note->practised()));
    }
}
