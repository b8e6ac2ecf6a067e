<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Standing\KeepingStanding;
use Gorvan\Core\Standing\Sureness;

/** How a student stands in a principle. */
final readonly class KeepingData
{
    public function __construct(
        public string $principle,
        public ?Keeping $keeping,
        public ?float $recall,
        public ?Sureness $sureness,
        public bool $holds,
        public bool $isAssumed,
    ) {
    }

    public static function of(string $principle, KeepingStanding $one): self
    {
        return new self($principle, $one->keeping, $one->recall, $one->sureness(), $one->holds(), $one->isAssumed());
    }
}
