<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Whether the forecasts of a group were true. */
final readonly class GroupReliability
{
    public function __construct(
        public string $id,
        public string $name,
        public ReliabilityData $of,
    ) {
    }
}
