<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Lesson\LessonSize;
use OpenApi\Attributes as OA;

/** How large lessons should be, as a teacher said it; null is not said. */
#[OA\Schema]
final readonly class SizeData
{
    public function __construct(
        #[OA\Property]
        public ?float $load,
        #[OA\Property]
        public ?int $count,
        #[OA\Property]
        public ?float $minutes,
        #[OA\Property]
        public ?float $minutesPerLoad,
        #[OA\Property]
        public ?float $movements,
        #[OA\Property]
        public ?float $lambda,
    ) {
    }

    public static function of(LessonSize $size): self
    {
        return new self($size->load, $size->count, $size->minutes, $size->minutesPerLoad, $size->movements, $size->lambda);
    }
}
