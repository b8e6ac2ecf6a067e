<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Sent;

/** Where a student is reached, and of which size they are, as it was seen. */
final readonly class StudentDetailsSeen implements Sent
{
    public function __construct(
        public ?string $email,
        public ?string $size,
    ) {
    }
}
