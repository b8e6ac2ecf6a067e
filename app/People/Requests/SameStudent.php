<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Who is the same as a student. */
final readonly class SameStudent implements Sent
{
    public function __construct(
        #[Rules('uuid')]
        public string $other,
        public bool $isSure = false,
    ) {
    }
}
