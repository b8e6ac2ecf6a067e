<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A calendar file, and the ends of the term its closures are for. */
final readonly class ClosuresFile implements Sent
{
    public function __construct(
        #[Rules('max:2000000')]
        public string $text,
        #[Rules('date_format:Y-m-d')]
        public string $from,
        #[Rules('date_format:Y-m-d')]
        public string $to,
    ) {
    }
}
