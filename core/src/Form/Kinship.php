<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** "Entry 12 returns to entry 4", or "entry 7 mirrors entry 6": positions from 1. */
final readonly class Kinship
{
    private function __construct(public int $position, public int $to, public bool $isMirror)
    {
    }

    public static function returns(int $position, int $to): self
    {
        return new self($position, $to, false);
    }

    public static function mirrors(int $position, int $to): self
    {
        return new self($position, $to, true);
    }

    public function sentence(): string
    {
        return $this->isMirror
            ? "inferred: entry $this->position mirrors entry $this->to"
            : "inferred: entry $this->position returns to entry $this->to";
    }
}
