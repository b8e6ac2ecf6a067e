<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A principle that an entry of a form shows. */
final readonly class ShownPrincipleData
{
    public function __construct(
        public string $setId,
        public string $setTitle,
        public string $title,
        public int $position,
        public int $strength,
        public ?string $note,
    ) {
    }
}
