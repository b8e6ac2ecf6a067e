<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A name that is there already, and whose it is. */
#[OA\Schema]
final readonly class KnownNameData
{
    /**
     * @param  list<NamedStudentData>  $students
     */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedStudentData::class))]
        public array $students,
    ) {
    }
}
