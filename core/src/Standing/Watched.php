<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** Somebody to look at, and in what. */
final readonly class Watched
{
    /**
     * @param  list<string>  $passage  entries; none where there is nothing to look at
     * @param  float  $unsure  bits, 0 to 1: the mean over the passage
     */
    public function __construct(public string $student, public array $passage, public float $unsure, public float $rank, public WatchReason $why)
    {
    }

    /** @return array{bool, bool, float} by which they come: who is back, who is overdue, the greater rank */
    public function order(): array
    {
        return [$this->why !== WatchReason::Back, ! $this->isOverdue(), -$this->rank];
    }

    /** Comes before those of whom only little is known. */
    public function isOverdue(): bool
    {
        return $this->why !== WatchReason::Unsure;
    }
}
