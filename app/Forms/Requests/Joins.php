<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use App\Terms\Requests\SentJoin;

/** What is asked of joins. */
final readonly class Joins implements Sent
{
    /** @param  list<SentJoin>  $joins */
    public function __construct(
        #[Rules('required', 'min:1', 'max:600')]
        public array $joins,
    ) {
    }
}
