<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Consideration;
use OpenApi\Attributes as OA;

/** Something a teacher plans around. Private. */
#[OA\Schema]
final readonly class ConsiderationData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public ?string $side,
        #[OA\Property]
        public ?string $since,
        #[OA\Property]
        public ?string $until,
        #[OA\Property]
        public ?string $note,
        #[OA\Property(description: 'today')]
        public bool $holds,
        #[OA\Property(description: 'false where the key of this installation does not open it')]
        public bool $isReadable,
    ) {
    }

    public static function of(Consideration $row, string $today): self
    {
        $noted = $row->noted();

        return new self($row->id, $noted->what->value, $noted->side?->value, $noted->since, $noted->until, $noted->note, $noted->holdsOn($today), $row->isReadable());
    }
}
