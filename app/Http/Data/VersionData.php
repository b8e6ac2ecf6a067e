<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** A state a form was in: who made it, when, and what changed. */
final readonly class VersionData
{
    /** @param  list<Message>  $what */
    public function __construct(
        public int $number,
        public ?string $by,
        public string $at,
        public array $what,
        /** Whether whoever asks made it. */
        public bool $isMine,
    ) {
    }
}
