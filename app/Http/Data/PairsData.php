<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Who works with whom in a partner drill, as it is proposed. */
final readonly class PairsData
{
    /**
     * @param  list<list<PodStudentData>>  $pairs  of two; one of three where the number is odd, one alone where nobody else is there
     * @param  list<string>  $aside  names of those who are here and do not take part
     */
    public function __construct(
        public array $pairs,
        public array $aside,
    ) {
    }
}
