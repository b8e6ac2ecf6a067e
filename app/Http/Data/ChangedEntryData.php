<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** An entry that came, went, moved or changed. */
#[OA\Schema]
final readonly class ChangedEntryData
{
    /** @param  list<FieldChangeData>  $fields */
    public function __construct(
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public string $title,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FieldChangeData::class))]
        public array $fields = [],
    ) {
    }
}
