<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\LessonTaken;

/** Whether a lesson of the form has taken. */
final readonly class LessonTakenData
{
    /** @param  float  $share  of the group that holds the movement that fewest hold, 0..1 */
    public function __construct(
        public int $number,
        public bool $hasTaken,
        public float $share,
    ) {
    }

    public static function of(LessonTaken $one): self
    {
        return new self($one->number, $one->hasTaken(), $one->share);
    }
}
