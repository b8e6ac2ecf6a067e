<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** How much of the weight stands on the left foot, per cent, 0..100; a single value is a range of no width. */
final readonly class WeightRange
{
    private function __construct(public float $from, public float $to)
    {
    }

    public static function exactly(float $percent): self
    {
        return new self($percent, $percent);
    }

    public static function between(float $from, float $to): self
    {
        return new self($from, $to);
    }

    /** Settled on one foot (at most 10 % on the other) or on both (45..55): engine 4. Pure. */
    public function isSettled(): bool
    {
        return $this->to <= 10.0
            || $this->from >= 90.0
            || ($this->from >= 45.0 && $this->to <= 55.0);
    }

    /** @return float|array{float, float} as the form file writes it */
    public function toData(): float|array
    {
        return $this->from === $this->to ? $this->from : [$this->from, $this->to];
    }
}
