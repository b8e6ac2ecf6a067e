<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A student who goes to another group. */
final readonly class GroupMove implements Sent
{
    public function __construct(
        #[Rules('uuid')]
        public string $student,
        #[Rules('uuid')]
        public string $to,
    ) {
    }
}
