<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** The meetings a term would have. */
#[OA\Schema]
final readonly class DatesData
{
    /**
     * @param  list<DateData>  $meetings
     * @param  list<Message>  $warnings
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: DateData::class))]
        public array $meetings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $warnings,
        #[OA\Property]
        public int $lessons,
        #[OA\Property(description: 'left of the form’s own lessons as they are; null where it has none')]
        public ?int $lessonsTaken,
        #[OA\Property(description: 'left if the form is cut to this class')]
        public int $lessonsCut,
    ) {
    }
}
