<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** What a change of a term would move, and what it would cost. */
final readonly class ChangePreviewData
{
    /**
     * @param  list<Message>  $moved
     * @param  list<MeetingRow>  $meetings
     * @param  list<ForecastData>  $forecasts
     */
    public function __construct(
        public array $moved,
        public float $cost,
        public array $meetings,
        public array $forecasts,
    ) {
    }
}
