<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A personal link that opens something; on how many devices it was opened, since a link cannot tell two people apart. */
final readonly class LinkData
{
    public function __construct(
        public string $madeAt,
        public string $expiresAt,
        public int $devices,
        public ?string $lastAt,
    ) {
    }
}
