<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A student in the list of everyone. */
#[OA\Schema]
final readonly class StudentRow
{
    /**
     * @param  list<StudentGroupName>  $groups  those they are in now
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'the day of the last class they came to')]
        public ?string $lastSeen,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentGroupName::class))]
        public array $groups,
        #[OA\Property]
        public bool $isOffList,
    ) {
    }
}
