<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A group a student is or was in, and how often they came. */
#[OA\Schema]
final readonly class StudentGroupData
{
    /**
     * @param  string|null  $leftOn  null while they are in it
     * @param  int  $came  of the classes that were logged since they joined
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $joinedOn,
        #[OA\Property]
        public ?string $leftOn,
        #[OA\Property]
        public int $came,
        #[OA\Property]
        public int $classes,
    ) {
    }
}
