<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** How many lessons came in, and what was kept without being understood. */
final readonly class LessonsReadData
{
    /** @param  list<Message>  $warnings */
    public function __construct(
        public int $count,
        public array $warnings,
    ) {
    }
}
