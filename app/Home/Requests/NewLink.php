<?php

declare(strict_types=1);

namespace App\Home\Requests;

use App\Shared\Sent\Sent;

/** How a link reaches a student. */
final readonly class NewLink implements Sent
{
    public function __construct(
        public bool $byMail = false,
    ) {
    }
}
