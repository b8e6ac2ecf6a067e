<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Tracks;

/**
 * Where one student stands with one entry of a form. An entry done on both sides is judged side by side, and the weaker
 * verdict stands for it: this is the one place that says so (engine 6).
 */
final readonly class EntryStanding
{
    /**
     * @param  int  $position from 1
     * @param  TrackStanding  $whole  the verdict that stands
     * @param  TrackStanding|null  $left  null where the entry has no sides, or nothing was noted of it
     */
    private function __construct(public int $position, public TrackStanding $whole, public ?TrackStanding $left, public ?TrackStanding $right)
    {
    }

    /** Whether anything was noted of it, on any side. */
    public function isNoted(): bool
    {
        foreach ([$this->whole, $this->left, $this->right] as $one) {
            if ($one !== null && ($one->isMet() || $one->support !== null)) {
                return true;
            }
        }

        return false;
    }

    public static function of(int $position, ?Tracks $tracks, bool $hasSides, int $day, MemoryModel $model): self
    {
        if ($tracks === null || ! $hasSides) {
            return new self($position, TrackStanding::of($tracks?->whole, $day, $model), null, null);
        }
        if (! $tracks->areApart()) {
            $both = TrackStanding::of($tracks->whole, $day, $model);

            return new self($position, $both, $both, $both); // both sides are the same, and so is the weaker
        }
        $left = TrackStanding::of($tracks->left, $day, $model);
        $right = TrackStanding::of($tracks->right, $day, $model);

        return new self($position, $left->weakerOf($right), $left, $right);
    }
}
