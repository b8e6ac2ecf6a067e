<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Lesson\LessonSize;

/** How large lessons should be, as a teacher said it; null is not said. */
final readonly class SizeData
{
    public function __construct(
        public ?float $load,
        public ?int $count,
        public ?float $minutes,
        public ?float $minutesPerLoad,
        public ?float $movements,
        public ?float $lambda,
    ) {
    }

    public static function of(LessonSize $size): self
    {
        return new self($size->load, $size->count, $size->minutes, $size->minutesPerLoad, $size->movements, $size->lambda);
    }
}
