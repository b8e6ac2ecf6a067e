<?php

declare(strict_types=1);

namespace App\Letters\Requests;

use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Letters that are sent. */
final readonly class LettersToSend implements Sent
{
    /** @param  list<string>  $letters */
    public function __construct(
        #[Rules('required', 'min:1', 'max:500')]
        #[Each('uuid', 'distinct')]
        public array $letters,
    ) {
    }
}
