<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Students who leave a group. */
final readonly class Leaving implements Sent
{
    /** @param  list<string>  $students */
    public function __construct(
        #[Rules('required', 'min:1', 'max:{limits.students}')]
        #[Each('required', 'uuid')]
        public array $students,
    ) {
    }
}
