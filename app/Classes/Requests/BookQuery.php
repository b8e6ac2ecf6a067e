<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** What is looked for in a class book, and before which class. */
final readonly class BookQuery implements Sent
{
    public function __construct(
        #[Rules('max:120')]
        public ?string $find = null,
        #[Rules('ulid')]
        public ?string $before = null,
    ) {
    }
}
