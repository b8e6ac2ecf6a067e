<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** What would put a finding right: a few words, and the edits. */
final readonly class MendData
{
    /** @param  list<array<string, mixed>>  $edits */
    public function __construct(
        public Message $says,
        public array $edits,
    ) {
    }
}
