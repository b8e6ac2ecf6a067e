<?php

declare(strict_types=1);

namespace App\Home\Requests;

use App\Shared\Sent\Sent;

/** The secret of a personal link; none opens as little as a wrong one. */
final readonly class OpenedLink implements Sent
{
    public function __construct(
        public ?string $token = null,
    ) {
    }
}
