<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Letter;
use DateTimeZone;

/** A letter, as it was written last. */
final readonly class LetterData
{
    public function __construct(
        public string $id,
        public ?string $studentId,
        public string $text,
        public int $version,
        public ?string $sentAt, )
    {
    }

    public static function of(Letter $letter, DateTimeZone $zone): self
    {
        return new self($letter->id, $letter->student_id, $letter->text, $letter->version, $letter->sent_at?->setTimezone($zone)->toRfc3339String());
    }
}
