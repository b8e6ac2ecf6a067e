<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One meeting on the season line. */
#[OA\Schema]
final readonly class TickData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $startsAt,
        #[OA\Property]
        public bool $isHeld,
        #[OA\Property]
        public bool $isPast,
        #[OA\Property]
        public bool $isToday,
        #[OA\Property]
        public ?string $kind,
        #[OA\Property]
        public ?int $lessonNumber,
        #[OA\Property(enum: ['laid', 'added', 'cancelled'])]
        public string $state,
    ) {
    }

    public static function of(MeetingRow $row): self
    {
        return new self($row->id, $row->on, $row->startsAt, $row->isHeld, $row->isPast, $row->isToday, $row->kind, $row->lessonNumber, $row->state);
    }
}
