<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\EntryStanding;
use OpenApi\Attributes as OA;

/** One student’s standing in one entry. */
#[OA\Schema]
final readonly class CellData
{
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public ?string $support,
        #[OA\Property]
        public ?float $recall,
        #[OA\Property(enum: ['good', 'fading', 'weak'])]
        public ?string $sureness,
        #[OA\Property]
        public bool $holds,
        #[OA\Property]
        public bool $isAssumed,
        #[OA\Property]
        public bool $isMet,
        #[OA\Property]
        public ?string $left,
        #[OA\Property]
        public ?string $right,
    ) {
    }

    public static function of(EntryStanding $entry): self
    {
        $whole = $entry->whole;
        $areApart = $entry->left !== $entry->right;

        return new self(
            $entry->position,
            $whole->support?->name,
            $whole->recall,
            $whole->sureness()?->value,
            $whole->holds(),
            $whole->isAssumed(),
            $whole->isMet(),
            $areApart ? $entry->left?->support?->name : null,
            $areApart ? $entry->right?->support?->name : null,
        );
    }
}
