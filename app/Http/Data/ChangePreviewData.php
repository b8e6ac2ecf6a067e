<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What a change of a term would move, and what it would cost. */
#[OA\Schema]
final readonly class ChangePreviewData
{
    /**
     * @param  list<Message>  $moved
     * @param  list<MeetingRow>  $meetings
     * @param  list<ForecastData>  $forecasts
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $moved,
        #[OA\Property]
        public float $cost,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeetingRow::class))]
        public array $meetings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ForecastData::class))]
        public array $forecasts,
    ) {
    }
}
