<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Of which movement. */
final readonly class RecallCurveQuery implements Sent
{
    public function __construct(
        #[Rules('uuid')]
        public string $entry,
    ) {
    }
}
