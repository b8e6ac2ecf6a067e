<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What a student keeps of the principles of a group. */
#[OA\Schema]
final readonly class StudentKeepingsIn
{
    /**
     * @param  list<KeepingData>  $keepings
     */
    public function __construct(
        #[OA\Property]
        public string $group,
        #[OA\Property]
        public GroupPrinciplesData $principles,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KeepingData::class))]
        public array $keepings,
    ) {
    }
}
