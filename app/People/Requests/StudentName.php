<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** What a student is called. */
final readonly class StudentName implements Sent
{
    /** @param  bool  $isOther  whether they are somebody else than who has that name */
    public function __construct(
        #[Rules('max:120')]
        public string $name,
        public bool $isOther = false,
    ) {
    }
}
