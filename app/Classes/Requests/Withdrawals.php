<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Facts that are taken back. */
final readonly class Withdrawals implements Sent
{
    /** @param  list<SentWithdrawal>  $withdrawals */
    public function __construct(
        #[Rules('required', 'min:1', 'max:{limits.marks}')]
        public array $withdrawals,
    ) {
    }
}
