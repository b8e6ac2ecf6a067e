<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\Lacking;
use OpenApi\Attributes as OA;

/** One movement that a student lacks. */
#[OA\Schema]
final readonly class LackingData
{
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property(enum: ['missed', 'hole', 'behind'])]
        public string $kind,
        #[OA\Property]
        public ?float $recall,
        #[OA\Property]
        public ?string $support,
    ) {
    }

    public static function of(Lacking $one): self
    {
        return new self($one->entry->position, $one->kind->value, $one->entry->whole->recall, $one->entry->whole->support?->name);
    }
}
