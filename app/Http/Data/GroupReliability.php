<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Whether the forecasts of a group were true. */
#[OA\Schema]
final readonly class GroupReliability
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ReliabilityData $of,
    ) {
    }
}
