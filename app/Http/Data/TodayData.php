<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What is on today, or when the next meeting is. */
#[OA\Schema]
final readonly class TodayData
{
    /**
     * @param  list<TonightData>  $meetings
     * @param  list<UnsaidData>  $unsaid
     * @param  list<ComingData>  $coming  the next class of every group
     */
    public function __construct(
        #[OA\Property]
        public string $today,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TonightData::class))]
        public array $meetings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: UnsaidData::class))]
        public array $unsaid,
        #[OA\Property]
        public ?MeetingRow $next,
        #[OA\Property]
        public ?TermSummary $nextTerm,
        #[OA\Property]
        public bool $hasForms,
        #[OA\Property]
        public bool $hasGroups,
        #[OA\Property]
        public bool $hasTerms,
        #[OA\Property]
        public bool $isDemoOver,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ComingData::class))]
        public array $coming,
    ) {
    }
}
