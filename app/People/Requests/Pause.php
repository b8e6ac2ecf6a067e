<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Sent;

/** Whether a student pauses. */
final readonly class Pause implements Sent
{
    public function __construct(
        public bool $isPaused,
    ) {
    }
}
