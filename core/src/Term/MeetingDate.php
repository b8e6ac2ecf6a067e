<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DateTimeImmutable;

/** One meeting of a term: its day `Y-m-d`, the instant it starts with its offset, and its minutes. */
final readonly class MeetingDate
{
    public function __construct(public string $on, public DateTimeImmutable $starts, public int $minutes)
    {
    }
}
