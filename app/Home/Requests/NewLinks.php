<?php

declare(strict_types=1);

namespace App\Home\Requests;

use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Whose links are made anew. */
final readonly class NewLinks implements Sent
{
    /** @param  list<string>  $students */
    public function __construct(
        #[Rules('required', 'min:1', 'max:500')]
        #[Each('uuid', 'distinct')]
        public array $students,
        public bool $byMail = false,
    ) {
    }
}
