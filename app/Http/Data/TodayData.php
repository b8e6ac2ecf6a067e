<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What is on today, or when the next meeting is. */
final readonly class TodayData
{
    /**
     * @param  list<TonightData>  $meetings
     * @param  list<UnsaidData>  $unsaid
     * @param  list<ComingData>  $coming  the next class of every group
     */
    public function __construct(
        public string $today,
        public array $meetings,
        public array $unsaid,
        public ?MeetingRow $next,
        public ?TermSummary $nextTerm,
        public bool $hasForms,
        public bool $hasGroups,
        public bool $hasTerms,
        public bool $isDemoOver,
        public array $coming,
    ) {
    }
}
