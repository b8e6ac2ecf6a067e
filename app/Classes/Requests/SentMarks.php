<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Marks of a class. */
final readonly class SentMarks implements Sent
{
    /** @param  list<SentMark>  $marks */
    public function __construct(
        #[Rules('required', 'min:1', 'max:{limits.marks}')]
        public array $marks,
    ) {
    }
}
