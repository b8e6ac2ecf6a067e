<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** In which group. */
final readonly class StudentLineQuery implements Sent
{
    public function __construct(
        #[Rules('uuid')]
        public string $group,
    ) {
    }
}
