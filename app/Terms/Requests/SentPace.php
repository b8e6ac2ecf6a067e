<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Term\SaidPace;

/** A pace: movements an evening, or minutes a simple movement takes; neither for what was learned or is usual. */
final readonly class SentPace implements Sent
{
    public function __construct(
        #[Rules('min:'.SaidPace::LEAST_MOVEMENTS, 'max:'.SaidPace::MOST_MOVEMENTS, 'prohibits:{path}minutes')]
        public ?float $movements = null,
        #[Rules('min:'.SaidPace::LEAST_MINUTES, 'max:'.SaidPace::MOST_MINUTES)]
        public ?float $minutes = null,
    ) {
    }

    public function said(): ?SaidPace
    {
        return match (true) {
            $this->movements !== null => SaidPace::movements($this->movements),
            $this->minutes !== null => SaidPace::minutes($this->minutes),
            default => null,
        };
    }
}
