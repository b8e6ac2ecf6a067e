<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Where a student stands in a group’s form. */
#[OA\Schema]
final readonly class StudentInGroup
{
    /**
     * @param  int|null  $frontier  the number, or else the position, up to which they are secure
     * @param  int  $holds  movements that hold
     * @param  int  $slipping  movements once seen alone or better that hold no more
     */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public ?int $frontier,
        #[OA\Property]
        public int $holds,
        #[OA\Property]
        public int $slipping,
    ) {
    }
}
