<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** One movement that a student lacks. */
final readonly class Lacking
{
    public function __construct(public CatchUpKind $kind, public EntryStanding $entry)
    {
    }

    /** 0 where it was never met. */
    public function recall(): float
    {
        return $this->entry->whole->recall ?? 0.0;
    }
}
