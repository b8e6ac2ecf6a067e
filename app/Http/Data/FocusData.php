<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\PlannedFocus;

/** A principle a meeting works on, and why. */
final readonly class FocusData
{
    /**
     * @param  float|null  $mean  what the group would recall of it by the next meeting without working on it
     */
    public function __construct(
        public string $principle,
        public bool $isNew,
        public ?float $mean,
        public ?float $bite,
        public ?Message $why,
    ) {
    }

    public static function of(PlannedFocus $focus): self
    {
        return new self($focus->principle, $focus->isNew, $focus->mean, $focus->bite, $focus->why);
    }
}
