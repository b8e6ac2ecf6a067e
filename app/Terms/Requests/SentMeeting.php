<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Term\Weekday;

/** One row of a weekly pattern. */
final readonly class SentMeeting implements Sent
{
    public function __construct(
        public Weekday $weekday,
        public string $at,
        #[Rules('min:10', 'max:480')]
        public int $minutes,
    ) {
    }
}
