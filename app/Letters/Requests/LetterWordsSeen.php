<?php

declare(strict_types=1);

namespace App\Letters\Requests;

use App\Shared\Sent\Sent;

/** The words a school wrote its letters in, as they were seen. */
final readonly class LetterWordsSeen implements Sent
{
    /** @param  array<string, string>  $words */
    public function __construct(
        public array $words,
        public bool $numbers,
    ) {
    }
}
