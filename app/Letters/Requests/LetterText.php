<?php

declare(strict_types=1);

namespace App\Letters\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A letter about a term, as it is written. */
final readonly class LetterText implements Sent
{
    /**
     * @param  string|null  $student  null for the whole group
     * @param  int  $version  that was seen
     */
    public function __construct(
        #[Rules('uuid')]
        public string $id,
        #[Rules('uuid')]
        public ?string $student,
        #[Rules('max:8000')]
        public string $text,
        #[Rules('min:0', 'max:1000000')]
        public int $version,
    ) {
    }
}
