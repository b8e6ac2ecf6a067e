<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\NotReadyEntry;
use OpenApi\Attributes as OA;

/** An entry of the lead-in that keeps a student from being ready. */
#[OA\Schema]
final readonly class NotReadyData
{
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property(enum: ['never_met', 'following', 'fading', 'faded', 'not_seen'])]
        public string $reason,
        #[OA\Property]
        public ?string $support,
        #[OA\Property]
        public ?float $recall,
    ) {
    }

    public static function of(NotReadyEntry $one): self
    {
        return new self($one->entry->position, $one->reason->value, $one->entry->whole->support?->name, $one->entry->whole->recall);
    }
}
