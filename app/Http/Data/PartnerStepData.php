<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A step of a partner drill, as it is marked. */
final readonly class PartnerStepData
{
    /** @param  float|null  $limit  seconds; null where it takes what it takes */
    public function __construct(
        public string $id,
        public string $title,
        public ?string $text,
        public ?float $limit,
    ) {
    }
}
