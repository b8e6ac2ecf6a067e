<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A student, and the groups they are in. */
#[OA\Schema]
final readonly class NamedStudentData
{
    /**
     * @param  list<string>  $groups
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $groups,
    ) {
    }
}
