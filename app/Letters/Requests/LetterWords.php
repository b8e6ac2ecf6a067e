<?php

declare(strict_types=1);

namespace App\Letters\Requests;

use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** The words a school writes its letters in. */
final readonly class LetterWords implements Sent
{
    /**
     * @param  array<string, string>  $words  each with a sentence of the school's own
     * @param  bool  $numbers  whether letters give numbers
     * @param  LetterWordsSeen|null  $was  what was seen
     */
    public function __construct(
        #[Rules('array:greeting,holds,holdsNone,nearly,open,missed,keep,principle,carry,next,numbers,came,ending,signature')]
        #[Each('max:1000')]
        public array $words,
        public bool $numbers,
        public ?LetterWordsSeen $was = null,
    ) {
    }
}
