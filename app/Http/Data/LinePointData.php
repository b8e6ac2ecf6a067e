<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\StudentLine;
use OpenApi\Attributes as OA;

/** A student on the day of a class. */
#[OA\Schema]
final readonly class LinePointData
{
    public function __construct(
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public int $holding,
        #[OA\Property]
        public float $expected,
        #[OA\Property]
        public int $marks,
    ) {
    }

    public static function of(StudentLine $one): self
    {
        return new self(Day::text($one->day), $one->holding, $one->expected, $one->marks);
    }
}
