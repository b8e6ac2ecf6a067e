<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\JsonNode;

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

    /** A number, or a list of two. @throws BadInput */
    public static function read(?JsonNode $node): ?self
    {
        if ($node === null) {
            return null;
        }
        if (! is_array($node->value)) {
            return self::exactly($node->number(0, 100));
        }
        [$from, $to] = $node->pair(0, 100);
        if ($from > $to) {
            throw Contradiction::smallerAfterLarger($node->path);
        }

        return self::between($from, $to);
    }

    /** As the other side has it. Pure. */
    public function mirrored(): self
    {
        return new self(100.0 - $this->to, 100.0 - $this->from);
    }

    /** The least that a foot certainly carries, per cent. */
    public function leastOn(Side $foot): float
    {
        return $foot === Side::Left ? $this->from : 100.0 - $this->to;
    }

    /** The most that a foot may carry, per cent. */
    public function mostOn(Side $foot): float
    {
        return $foot === Side::Left ? $this->to : 100.0 - $this->from;
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
