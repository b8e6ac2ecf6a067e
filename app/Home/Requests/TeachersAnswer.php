<?php

declare(strict_types=1);

namespace App\Home\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** What a teacher answers. */
final readonly class TeachersAnswer implements Sent
{
    public function __construct(
        #[Rules('max:2000')]
        public ?string $answer,
    ) {
    }
}
