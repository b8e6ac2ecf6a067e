<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Whether the forecasts of the school were true, as it reads recall now. */
#[OA\Schema]
final readonly class ReliabilityPage
{
    /**
     * @param  list<GroupReliability>  $groups
     */
    public function __construct(
        #[OA\Property]
        public ReliabilityData $school,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GroupReliability::class))]
        public array $groups,
        #[OA\Property(description: 'the factor by which recall is read')]
        public ?float $adopted,
        #[OA\Property(description: 'the factor with the least log loss; null while there are too few tests')]
        public ?float $offered,
        #[OA\Property]
        public int $enough,
    ) {
    }
}
