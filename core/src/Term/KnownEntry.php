<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Memory\Tracks;

/** What one student's memory of one entry was after its last update, and the day of it ({@see \Gorvan\Core\Reading\Day}). */
final readonly class KnownEntry
{
    public function __construct(public MemoryState $state, public int $last)
    {
    }

    /** What a plan goes by: the side that is remembered worse on a day; null while one of them never was met. */
    public static function weakerOf(Tracks $tracks, int $day, MemoryModel $model): ?self
    {
        if (! $tracks->areApart()) {
            return $tracks->whole?->state === null || $tracks->whole->last === null ? null : new self($tracks->whole->state, $tracks->whole->last);
        }
        $known = $least = null;
        foreach ([$tracks->left, $tracks->right] as $track) {
            $recall = $track?->recallOn($day, $model);
            if ($track?->state === null || $track->last === null || $recall === null) {
                return null;
            }
            if ($least === null || $recall < $least) {
                [$known, $least] = [new self($track->state, $track->last), $recall];
            }
        }

        return $known;
    }
}
