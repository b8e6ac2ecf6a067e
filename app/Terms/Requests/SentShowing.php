<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A showing: its day, and the last entry that is shown. */
final readonly class SentShowing implements Sent
{
    public function __construct(
        #[Rules('date_format:Y-m-d')]
        public string $on,
        #[Rules('min:1', 'max:600')]
        public int $to,
    ) {
    }
}
