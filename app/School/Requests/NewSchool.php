<?php

declare(strict_types=1);

namespace App\School\Requests;

use App\Http\NotCommonPassword;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A school that is founded, and who founds it. */
final readonly class NewSchool implements Sent
{
    public function __construct(
        #[Rules('max:120')]
        public string $school,
        #[Rules('timezone:all_with_bc')]
        public string $timezone,
        #[Rules('max:120')]
        public string $name,
        #[Rules('email', 'max:254')]
        public string $email,
        #[Rules('min:12', 'max:200', NotCommonPassword::class)]
        public string $password,
        #[Rules('max:35')]
        public ?string $locale = null,
    ) {
    }
}
