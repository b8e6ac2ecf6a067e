<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A principle by name. */
final readonly class NamedPrincipleData
{
    public function __construct(
        public string $id,
        public string $title,
    ) {
    }
}
