<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** An edit that is taken back. */
final readonly class EditToTakeBack implements Sent
{
    public function __construct(
        #[Rules('min:1', 'max:2147483647')]
        public int $version,
    ) {
    }
}
