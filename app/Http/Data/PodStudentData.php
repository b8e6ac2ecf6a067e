<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A student in a pod. */
#[OA\Schema]
final readonly class PodStudentData
{
    /**
     * @param  int|null  $frontier  position up to which they are secure
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?int $frontier,
    ) {
    }
}
