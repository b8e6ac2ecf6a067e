<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use Gorvan\Core\Record\Fact;

/** One contact as a replay read it. */
final readonly class ReplayStep
{
    /**
     * @param  float|null  $before  recall on that day before it, null at the first contact
     * @param  MemoryState  $state  that it left
     */
    public function __construct(public int $day, public Fact $fact, public ?float $before, public MemoryState $state)
    {
    }
}
