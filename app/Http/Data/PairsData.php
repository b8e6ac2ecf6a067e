<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Who works with whom in a partner drill, as it is proposed. */
#[OA\Schema]
final readonly class PairsData
{
    /**
     * @param  list<list<PodStudentData>>  $pairs  of two; one of three where the number is odd, one alone where nobody else is there
     * @param  list<string>  $aside  names of those who are here and do not take part
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(ref: PodStudentData::class)))]
        public array $pairs,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $aside,
    ) {
    }
}
