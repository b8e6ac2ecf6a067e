<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Memory\MemoryState;

/** What one student's memory of one entry was after its last update, and the day of it (`Y-m-d`). */
final readonly class KnownEntry
{
    public function __construct(public MemoryState $state, public string $last)
    {
    }
}
