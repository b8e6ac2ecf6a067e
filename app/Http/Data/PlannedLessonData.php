<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Term\LessonKind;

/** A lesson of a meeting. */
final readonly class PlannedLessonData
{
    /**
     * @param  int|null  $part  which part of its lesson it is, from 1; null where it is all of it
     * @param  int|null  $parts  of how many
     */
    public function __construct(
        public ?int $number,
        public LessonKind $kind,
        public int $from,
        public int $to,
        public ?int $part = null,
        public ?int $parts = null,
    ) {
    }
}
