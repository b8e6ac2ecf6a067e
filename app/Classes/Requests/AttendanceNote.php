<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use DateTimeImmutable;

/** What is said of who is here, or not; minutes after the start. */
final readonly class AttendanceNote implements Sent
{
    public function __construct(
        public bool $isHere,
        public ?bool $isCareful = null,
        #[Rules('min:0', 'max:1440')]
        public ?int $late = null,
        #[Rules('min:0', 'max:1440')]
        public ?int $left = null,
        public ?DateTimeImmutable $at = null,
    ) {
    }
}
