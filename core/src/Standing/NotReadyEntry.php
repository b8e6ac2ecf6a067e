<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** An entry of the recap that keeps a student from being ready, and why. */
final readonly class NotReadyEntry
{
    public function __construct(public EntryStanding $entry, public NotReady $reason)
    {
    }
}
