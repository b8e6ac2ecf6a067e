<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What one student does otherwise than a sheet for all says. */
#[OA\Schema]
final readonly class ParticularsData
{
    /** @param  list<ParticularData>  $entries */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ParticularData::class))]
        public array $entries,
    ) {
    }
}
