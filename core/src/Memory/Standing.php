<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

/**
 * One entry of one student's record on a day: the support last seen, and how much of it memory should still hold.
 *
 * `support` is null when never marked; `state`, `recall` and `last` are null when nothing updated the memory (only
 * ever marked Unmet). `last` is a day `Y-m-d` in the record's zone, `updates` counts the first contact too.
 */
final readonly class Standing
{
    public function __construct(
        public ?Support $support,
        public ?MemoryState $state,
        public ?float $recall,
        public ?string $last,
        public int $updates,
    ) {
    }
}
