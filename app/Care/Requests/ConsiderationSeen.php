<?php

declare(strict_types=1);

namespace App\Care\Requests;

use App\Shared\Sent\Sent;

/** What was planned around, as it was seen. */
final readonly class ConsiderationSeen implements Sent
{
    public function __construct(
        public string $what,
        public ?string $side,
        public ?string $since,
        public ?string $until,
        public ?string $note,
    ) {
    }
}
