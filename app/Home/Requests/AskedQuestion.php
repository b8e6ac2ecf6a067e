<?php

declare(strict_types=1);

namespace App\Home\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use DateTimeImmutable;

/** What a student asks. */
final readonly class AskedQuestion implements Sent
{
    public function __construct(
        #[Rules('max:2000')]
        public string $text,
        public DateTimeImmutable $at,
    ) {
    }
}
