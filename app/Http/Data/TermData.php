<?php

declare(strict_types=1);

namespace App\Http\Data;

use ArrayObject;
use Gorvan\Core\Reading\Message;

/** A term laid out: its courses, its meetings, and what they should come to. */
final readonly class TermData
{
    /**
     * @param  list<CourseData>  $courses  in their order
     * @param  list<ClosureData>  $closures
     * @param  list<MeetingRow>  $meetings  those that do not take place too
     * @param  list<Message>  $warnings
     * @param  list<int>  $turns  whose evening it is, by place of the course, over and over; none where all share each evening
     * @param  ArrayObject<string, string>  $names  of students, by id
     */
    public function __construct(
        public TermSummary $term,
        public array $courses,
        public array $closures,
        public array $meetings,
        public array $warnings,
        public ArrayObject $names,
        public int $version,
        public ?string $room,
        public bool $isOver,
        public ?GroupPrinciplesData $principles,
        public array $turns,
    ) {
    }
}
