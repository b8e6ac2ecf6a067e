<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Letter;
use DateTimeZone;
use OpenApi\Attributes as OA;

/** A letter, as it was written last. */
#[OA\Schema]
final readonly class LetterData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public ?string $studentId,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public ?string $sentAt, )
    {
    }

    public static function of(Letter $letter, DateTimeZone $zone): self
    {
        return new self($letter->id, $letter->student_id, $letter->text, $letter->version, $letter->sent_at?->setTimezone($zone)->toRfc3339String());
    }
}
