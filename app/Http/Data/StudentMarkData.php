<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Side;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;

/** A mark of a student. */
final readonly class StudentMarkData
{
    /** @param  string  $what  the movement or the principle */
    public function __construct(
        public string $what,
        public ?Side $side,
        public bool $isPrinciple,
        public Support|Keeping $level,
    ) {
    }
}
