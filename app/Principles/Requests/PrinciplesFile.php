<?php

declare(strict_types=1);

namespace App\Principles\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A set of principles as a list or a file. */
final readonly class PrinciplesFile implements Sent
{
    /** @param  string|null  $form  where it bites */
    public function __construct(
        #[Rules('max:1000000')]
        public string $text,
        #[Rules('max:300')]
        public ?string $title = null,
        #[Rules('uuid')]
        public ?string $form = null,
    ) {
    }
}
