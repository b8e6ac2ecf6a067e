<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use Gorvan\Core\Record\Level;

/**
 * What a student's record has made of one subject, or of one side of it, by its last fact.
 *
 * `level` is what was last seen, null when never marked; `state` and `last` are null while nothing updated the memory
 * (only ever marked Unmet). `last` is a day ({@see \Gorvan\Core\Reading\Day}), `updates` counts the first contact too.
 * `withoutHome` is the same as if home practice had not been, null where there was none. `wasTaught` says whether they were there when it was
 * taught, or knew it before the group was kept here.
 */
final readonly class Track
{
    public function __construct(
        public ?Level $level = null,
        public ?MemoryState $state = null,
        public ?int $last = null,
        public int $updates = 0,
        public ?self $withoutHome = null,
        public bool $wasTaught = false,
    ) {
    }

    /** On how many days it was met in class: gone through, or seen. */
    public function evenings(): int
    {
        return ($this->withoutHome ?? $this)->updates;
    }

    /** The chance of doing it from memory on a day, null where there was no contact. */
    public function recallOn(int $day, MemoryModel $model): ?float
    {
        return $this->state === null || $this->last === null ? null : $model->read(max(0, $day - $this->last), $this->state->stability);
    }

    /** The same by the evidence of classes and marks alone. */
    public function classRecallOn(int $day, MemoryModel $model): ?float
    {
        return ($this->withoutHome ?? $this)->recallOn($day, $model);
    }
}
