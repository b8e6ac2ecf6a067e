<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\StudentLine;

/** A student on the day of a class. */
final readonly class LinePointData
{
    public function __construct(
        public string $on,
        public int $holding,
        public float $expected,
        public int $marks,
    ) {
    }

    public static function of(StudentLine $one): self
    {
        return new self(Day::text($one->day), $one->holding, $one->expected, $one->marks);
    }
}
