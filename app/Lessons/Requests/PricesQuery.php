<?php

declare(strict_types=1);

namespace App\Lessons\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Which join is being moved. */
final readonly class PricesQuery implements Sent
{
    /** @param  int|null  $moving  the entry it is after */
    public function __construct(
        #[Rules('min:1')]
        public ?int $moving = null,
    ) {
    }
}
