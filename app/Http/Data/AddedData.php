<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A group with the students just put into it, so that they can be taken out again. */
#[OA\Schema]
final readonly class AddedData
{
    /** @param  list<string>  $added  student ids */
    public function __construct(
        #[OA\Property]
        public GroupSummary $group,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $added,
    ) {
    }
}
