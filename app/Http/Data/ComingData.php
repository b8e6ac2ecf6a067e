<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The next class of a group, or another of the coming week: what a device keeps for when there is no network. */
#[OA\Schema]
final readonly class ComingData
{
    /** @param  list<CourseFormData>  $courses  in their order */
    public function __construct(
        #[OA\Property]
        public string $meetingId,
        #[OA\Property]
        public string $groupName,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $startsAt,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CourseFormData::class))]
        public array $courses,
    ) {
    }
}
