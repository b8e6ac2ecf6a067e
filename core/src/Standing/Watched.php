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

    public function isOverdue(): bool
    {
        return $this->why !== WatchReason::Unsure;
    }
}
