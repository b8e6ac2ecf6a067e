<?php

declare(strict_types=1);

namespace App\Http\Data;

/** An entry that came, went, moved or changed. */
final readonly class ChangedEntryData
{
    /** @param  list<FieldChangeData>  $fields */
    public function __construct(
        public string $key,
        public int $position,
        public string $title,
        public array $fields = [],
    ) {
    }
}
