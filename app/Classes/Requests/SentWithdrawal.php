<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use DateTimeImmutable;

/** One fact that is taken back. */
final readonly class SentWithdrawal implements Sent
{
    public function __construct(
        #[Rules('ulid')]
        public string $id,
        #[Rules('ulid')]
        public string $of,
        public DateTimeImmutable $at,
    ) {
    }
}
