<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DateTimeZone;

/** First and last day (`Y-m-d`, both inside), weekly pattern and closures, in one time zone. */
final readonly class Term
{
    /** Longer than this is taken for a slip of the pen. */
    public const MAX_DAYS = 3660;

    /**
     * @param  non-empty-list<WeeklyMeeting>  $pattern
     * @param  list<Closure>  $closures
     * @param  list<\Gorvan\Core\Reading\Message>  $warnings  what its reader did not know
     */
    public function __construct(
        public string $from,
        public string $to,
        public DateTimeZone $zone,
        public array $pattern,
        public array $closures = [],
        public array $warnings = [],
    ) {
    }
}
