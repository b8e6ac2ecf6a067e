<?php

declare(strict_types=1);

namespace App\Http\Data;

/** The next class of a group, or another of the coming week: what a device keeps for when there is no network. */
final readonly class ComingData
{
    /** @param  list<CourseFormData>  $courses  in their order */
    public function __construct(
        public string $meetingId,
        public string $groupName,
        public string $on,
        public string $startsAt,
        public array $courses,
    ) {
    }
}
