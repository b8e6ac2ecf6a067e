<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Entries from one to another, by position. */
final readonly class TaughtPassage implements Sent
{
    public function __construct(
        #[Rules('min:1', 'max:2147483647')]
        public int $from,
        #[Rules('gte:passages.*.from', 'max:2147483647')]
        public int $to,
    ) {
    }
}
