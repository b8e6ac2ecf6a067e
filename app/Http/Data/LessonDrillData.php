<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A drill that leads up to a lesson, in the order in which they can be done. */
#[OA\Schema]
final readonly class LessonDrillData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?int $parent,
        #[OA\Property]
        public ?string $text,
    ) {
    }
}
