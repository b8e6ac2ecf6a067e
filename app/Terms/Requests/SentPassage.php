<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Entries from one to another, by position. */
final readonly class SentPassage implements Sent
{
    public function __construct(
        #[Rules('min:1', 'max:600')]
        public int $from,
        #[Rules('min:1', 'max:600')]
        public int $to,
    ) {
    }
}
