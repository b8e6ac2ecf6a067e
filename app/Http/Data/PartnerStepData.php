<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A step of a partner drill, as it is marked. */
#[OA\Schema]
final readonly class PartnerStepData
{
    /** @param  float|null  $limit  seconds; null where it takes what it takes */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $text,
        #[OA\Property]
        public ?float $limit,
    ) {
    }
}
