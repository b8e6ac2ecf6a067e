<?php

declare(strict_types=1);

namespace App\Actions;

use DateTimeImmutable;

/** What was noted of who is there. */
final readonly class Noted
{
    /**
     * @param  int|null  $late  minutes after the start at which they came, and `left` at which they went
     * @param  DateTimeImmutable  $at  on the device: of two the later stands
     */
    public function __construct(
        public bool $isHere,
        public DateTimeImmutable $at,
        public bool $isCareful = false,
        public ?int $late = null,
        public ?int $left = null,
    ) {
    }
}
