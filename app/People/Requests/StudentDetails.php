<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Standing\BodySize;

/** Where a student is reached, and of which size they are. */
final readonly class StudentDetails implements Sent
{
    /** @param  StudentDetailsSeen|null  $was  what was seen */
    public function __construct(
        #[Rules('email:rfc', 'max:254')]
        public ?string $email,
        public ?BodySize $size,
        public ?StudentDetailsSeen $was = null,
    ) {
    }
}
