<?php

declare(strict_types=1);

namespace App\School\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Who signs in. */
final readonly class Credentials implements Sent
{
    public function __construct(
        #[Rules('max:254')]
        public string $email,
        #[Rules('max:200')]
        public string $password,
    ) {
    }
}
