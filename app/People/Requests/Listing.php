<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Sent;

/** Whether a student is off the list. */
final readonly class Listing implements Sent
{
    public function __construct(
        public bool $isOff,
    ) {
    }
}
