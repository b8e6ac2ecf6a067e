<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use DateTimeImmutable;

/** Somebody who is here and not of the group. */
final readonly class NewGuest implements Sent
{
    public function __construct(
        #[Rules('uuid')]
        public string $id,
        #[Rules('max:120')]
        public string $name,
        public bool $isFirstTime,
        public DateTimeImmutable $at,
    ) {
    }
}
