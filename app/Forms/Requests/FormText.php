<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A form as a list, a table or a file. */
final readonly class FormText implements Sent
{
    /** @param  list<string>  $declined  entries of which what was supposed does not hold */
    public function __construct(
        #[Rules('max:3000000')]
        public ?string $text,
        #[Rules('max:300')]
        public ?string $title = null,
        #[Rules('max:600')]
        #[Each('max:120')]
        public array $declined = [],
    ) {
    }
}
