<?php

declare(strict_types=1);

namespace App\Shared\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A version that is taken again. */
final readonly class Restoring implements Sent
{
    /** @param  int  $base  the version that was seen */
    public function __construct(
        #[Rules('min:0', 'max:2147483647')]
        public int $base,
        #[Rules('min:0', 'max:2147483647')]
        public int $number,
    ) {
    }
}
