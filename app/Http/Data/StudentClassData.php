<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A class of a group the student was in then. */
#[OA\Schema]
final readonly class StudentClassData
{
    /**
     * @param  list<StudentMarkData>  $marks
     */
    public function __construct(
        #[OA\Property]
        public string $meetingId,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $group,
        #[OA\Property]
        public bool $came,
        #[OA\Property]
        public ?string $note,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentMarkData::class))]
        public array $marks,
    ) {
    }
}
