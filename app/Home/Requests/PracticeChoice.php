<?php

declare(strict_types=1);

namespace App\Home\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** How long, and on how many days, a group practises at home. */
final readonly class PracticeChoice implements Sent
{
    /** @param  PracticeChoiceSeen|null  $was  what was seen */
    public function __construct(
        #[Rules('min:1', 'max:120')]
        public float $minutes,
        #[Rules('min:1', 'max:14')]
        public int $days,
        public ?PracticeChoiceSeen $was = null,
    ) {
    }
}
