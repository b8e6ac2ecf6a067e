<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** For which lesson pairs are asked for. */
final readonly class PairsQuery implements Sent
{
    /** @param  string|null  $without  students, with commas between them */
    public function __construct(
        #[Rules('uuid')]
        public string $lesson,
        #[Rules('max:8000')]
        public ?string $without = null,
    ) {
    }
}
