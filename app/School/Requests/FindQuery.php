<?php

declare(strict_types=1);

namespace App\School\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** What is looked for. */
final readonly class FindQuery implements Sent
{
    public function __construct(
        #[Rules('max:120')]
        public string $find,
        #[Rules('date_format:Y-m-d')]
        public ?string $on = null,
    ) {
    }
}
