<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\SaidPace;

/** A plan that is compared with the one there is. */
final readonly class ComparedPlan implements Sent
{
    public function __construct(
        public ?Approach $approach = null,
        #[Rules('min:0', 'max:60')]
        public ?int $minutes = null,
        #[Rules('min:0', 'max:12')]
        public ?int $extra = null,
        #[Rules('min:1', 'max:600')]
        public ?int $to = null,
        #[Rules('min:0', 'max:4')]
        public ?int $lost = null,
        #[Rules('min:'.SaidPace::LEAST_MOVEMENTS, 'max:'.SaidPace::MOST_MOVEMENTS)]
        public ?float $movements = null,
        public ?bool $spread = null,
    ) {
    }
}
