<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use Gorvan\Core\Form\Side;

/**
 * The track of a subject; or, once a fact has named a side of an entry that has two, one for each side.
 */
final readonly class Tracks
{
    private function __construct(public ?Track $whole, public ?Track $left, public ?Track $right)
    {
    }

    public static function whole(Track $track): self
    {
        return new self($track, null, null);
    }

    /** Null for a side that nothing was ever noted of. */
    public static function sides(?Track $left, ?Track $right): self
    {
        return new self(null, $left, $right);
    }

    public static function none(): self
    {
        return new self(null, null, null);
    }

    public function areApart(): bool
    {
        return $this->left !== null || $this->right !== null;
    }

    /** What is known of one side. */
    public function side(Side $side): ?Track
    {
        return match (true) {
            ! $this->areApart() => $this->whole,
            $side === Side::Left => $this->left,
            default => $this->right,
        };
    }
}
