<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Passage;

/** A run of entries, by position. */
final readonly class PassageData
{
    public function __construct(
        public int $from,
        public int $to,
    ) {
    }

    public static function of(?Passage $passage): ?self
    {
        return $passage === null ? null : new self($passage->from, $passage->to);
    }
}
