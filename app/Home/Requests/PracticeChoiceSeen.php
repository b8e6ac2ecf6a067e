<?php

declare(strict_types=1);

namespace App\Home\Requests;

use App\Shared\Sent\Sent;

/** How long, and on how many days, a group practised at home, as it was seen. */
final readonly class PracticeChoiceSeen implements Sent
{
    public function __construct(
        public float $minutes,
        public int $days,
    ) {
    }
}
