<?php

declare(strict_types=1);

namespace App\Shared\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** As of which day. */
final readonly class OnQuery implements Sent
{
    public function __construct(
        #[Rules('date_format:Y-m-d')]
        public ?string $on = null,
    ) {
    }
}
