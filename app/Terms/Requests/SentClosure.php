<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Days without class, both ends inside. */
final readonly class SentClosure implements Sent
{
    public function __construct(
        #[Rules('date_format:Y-m-d')]
        public string $from,
        #[Rules('date_format:Y-m-d')]
        public string $to,
    ) {
    }
}
