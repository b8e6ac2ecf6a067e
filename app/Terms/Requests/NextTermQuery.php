<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Sent;

/** Of which group, or after which term, the next one is asked for. */
final readonly class NextTermQuery implements Sent
{
    public function __construct(
        public ?string $group = null,
        public ?string $after = null,
    ) {
    }
}
