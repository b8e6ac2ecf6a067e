<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Which of the plans that were compared is taken over. */
final readonly class PlanToTake implements Sent
{
    public function __construct(
        #[Rules('min:0', 'max:2')]
        public int $plan = 0,
    ) {
    }
}
