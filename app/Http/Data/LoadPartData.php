<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\LoadReason;

/** One summand of an entry's demand. */
final readonly class LoadPartData
{
    public function __construct(
        public LoadReason $reason,
        public float $amount,
    ) {
    }
}
