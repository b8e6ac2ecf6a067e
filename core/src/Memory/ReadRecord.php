<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use DateTimeZone;

/** An events file as its reader understood it: the zone its days are in, its facts, and what the reader did not know. */
final readonly class ReadRecord
{
    /**
     * @param  list<Fact>  $facts
     * @param  list<string>  $warnings
     */
    public function __construct(public DateTimeZone $zone, public array $facts, public array $warnings)
    {
    }
}
