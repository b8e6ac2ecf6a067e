<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Track;

/** The smallest upright box round a path, in steps. */
final readonly class Bounds
{
    public function __construct(public float $left, public float $right, public float $back, public float $front)
    {
    }

    /** @param  array<Footing>  $footings */
    public static function round(array $footings): self
    {
        $xs = array_map(static fn (Footing $footing): float => $footing->x, $footings);
        $ys = array_map(static fn (Footing $footing): float => $footing->y, $footings);

        return $xs === [] || $ys === [] ? new self(0.0, 0.0, 0.0, 0.0) : new self(min($xs), max($xs), min($ys), max($ys));
    }

    public function width(): float
    {
        return $this->right - $this->left;
    }

    public function depth(): float
    {
        return $this->front - $this->back;
    }

    /** Turned clockwise by quarters, as a class that faces another wall walks it. */
    public function turned(int $quarters): self
    {
        return match ((($quarters % 4) + 4) % 4) {
            0 => $this,
            1 => new self($this->back, $this->front, -$this->right, -$this->left),
            2 => new self(-$this->right, -$this->left, -$this->front, -$this->back),
            default => new self(-$this->front, -$this->back, $this->left, $this->right),
        };
    }

    public function with(Footing $footing): self
    {
        return new self(min($this->left, $footing->x), max($this->right, $footing->x), min($this->back, $footing->y), max($this->front, $footing->y));
    }
}
