<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Students of tonight who stand near each other. */
final readonly class PodData
{
    /**
     * @param  list<PodStudentData>  $students  by where they stand
     * @param  int  $from  the least frontier among them, 0 where somebody is secure in nothing yet
     * @param  int  $to  the greatest
     */
    public function __construct(
        public array $students,
        public int $from,
        public int $to,
    ) {
    }
}
