<?php

declare(strict_types=1);

namespace App\School\Requests;

use App\Shared\Sent\Sent;

/** A factor of forecasts that is adopted, or none. */
final readonly class AdoptedFactor implements Sent
{
    public function __construct(
        public ?float $factor,
    ) {
    }
}
