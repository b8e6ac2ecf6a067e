<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\LessonTaken;
use OpenApi\Attributes as OA;

/** Whether a lesson of the form has taken. */
#[OA\Schema]
final readonly class LessonTakenData
{
    /** @param  float  $share  of the group that holds the movement that fewest hold, 0..1 */
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public bool $hasTaken,
        #[OA\Property]
        public float $share,
    ) {
    }

    public static function of(LessonTaken $one): self
    {
        return new self($one->number, $one->hasTaken(), $one->share);
    }
}
