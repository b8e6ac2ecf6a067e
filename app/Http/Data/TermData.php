<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** A term laid out: its courses, its meetings, and what they should come to. */
#[OA\Schema]
final readonly class TermData
{
    /**
     * @param  list<CourseData>  $courses  in their order
     * @param  list<ClosureData>  $closures
     * @param  list<MeetingRow>  $meetings  those that do not take place too
     * @param  list<Message>  $warnings
     * @param  list<int>  $turns
     */
    public function __construct(
        #[OA\Property]
        public TermSummary $term,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CourseData::class))]
        public array $courses,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClosureData::class))]
        public array $closures,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeetingRow::class))]
        public array $meetings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $warnings,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public object $names,
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public ?string $room,
        #[OA\Property]
        public bool $isOver,
        #[OA\Property]
        public ?GroupPrinciplesData $principles,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'), description: 'whose evening it is, by place of the course, over and over; none where all share each evening')]
        public array $turns,
    ) {
    }
}
