<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\CatchUpKind;
use Gorvan\Core\Standing\Lacking;

/** One movement that a student lacks. */
final readonly class LackingData
{
    public function __construct(
        public int $position,
        public CatchUpKind $kind,
        public ?float $recall,
        public ?Support $support,
    ) {
    }

    public static function of(Lacking $one): self
    {
        return new self($one->entry->position, $one->kind, $one->entry->whole->recall, $one->entry->whole->support);
    }
}
