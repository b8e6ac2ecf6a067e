<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\NotReady;
use Gorvan\Core\Standing\NotReadyEntry;

/** An entry of the lead-in that keeps a student from being ready. */
final readonly class NotReadyData
{
    public function __construct(
        public int $position,
        public NotReady $reason,
        public ?Support $support,
        public ?float $recall,
    ) {
    }

    public static function of(NotReadyEntry $one): self
    {
        return new self($one->entry->position, $one->reason, $one->entry->whole->support, $one->entry->whole->recall);
    }
}
