<?php

declare(strict_types=1);

namespace Gorvan\Core\Calendar;

use DateTimeImmutable;

/** One event of a calendar: told again under the same `uid` with a greater `sequence` when it changes (RFC 5545, 3.8.7.4). */
final readonly class CalendarEvent
{
    /** @param  DateTimeImmutable  $changed  when it was last told differently */
    public function __construct(
        public string $uid,
        public int $sequence,
        public DateTimeImmutable $starts,
        public int $minutes,
        public DateTimeImmutable $changed,
        public string $summary,
        public string $description = '',
        public string $location = '',
        public bool $isCancelled = false,
    ) {
    }
}
