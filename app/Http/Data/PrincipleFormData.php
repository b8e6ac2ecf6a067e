<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A form, and how many of its entries a set is joined to. */
final readonly class PrincipleFormData
{
    public function __construct(
        public string $id,
        public string $title,
        public int $bites,
    ) {
    }
}
