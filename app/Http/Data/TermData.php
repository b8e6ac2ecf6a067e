<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** A term laid out. */
#[OA\Schema]
final readonly class TermData
{
    /**
     * @param  list<ClosureData>  $closures
     * @param  list<MeetingRow>  $meetings
     * @param  list<Message>  $warnings
     */
    public function __construct(
        #[OA\Property]
        public TermSummary $term,
        #[OA\Property]
        public FormData $form,
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $approach,
        #[OA\Property]
        public float $minutesPerLoad,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClosureData::class))]
        public array $closures,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeetingRow::class))]
        public array $meetings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $warnings,
    ) {
    }
}
