<?php

declare(strict_types=1);

namespace App\Principles\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A list or a file that takes the place of a set. */
final readonly class PrinciplesText implements Sent
{
    public function __construct(
        #[Rules('min:0', 'max:2147483647')]
        public int $base,
        #[Rules('max:1000000')]
        public string $text,
    ) {
    }
}
