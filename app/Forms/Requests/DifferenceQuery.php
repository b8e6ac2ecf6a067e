<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Two versions that are compared. */
final readonly class DifferenceQuery implements Sent
{
    public function __construct(
        #[Rules('min:0', 'max:2147483647')]
        public int $from,
        #[Rules('min:0', 'max:2147483647')]
        public int $to,
    ) {
    }
}
