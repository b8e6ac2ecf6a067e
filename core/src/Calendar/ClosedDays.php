<?php

declare(strict_types=1);

namespace Gorvan\Core\Calendar;

/** Days without class as a calendar has them: `Y-m-d`, both ends inside, and what they are called. */
final readonly class ClosedDays
{
    public function __construct(public string $from, public string $to, public string $title)
    {
    }
}
