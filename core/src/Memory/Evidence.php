<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

/**
 * One contact with an entry as the memory model reads it: a grade 1..4, and the share 0..1 of it that was truly
 * remembered. When the outcome was not seen the share is known at the first contact only, and is the recall itself later.
 */
final readonly class Evidence
{
    private function __construct(public int $grade, public float $firstShare, private ?float $laterShare)
    {
    }

    public static function seen(int $grade, float $share): self
    {
        return new self($grade, $share, $share);
    }

    /** Present when its lesson was given. */
    public static function taught(): self
    {
        return new self(2, 0.5, null);
    }

    /** Present when it was reviewed, or practised at home. */
    public static function practised(): self
    {
        return new self(2, 0.0, null);
    }

    public function wasSeen(): bool
    {
        return $this->laterShare !== null;
    }

    /** The share at a later contact, given the recall at that moment. */
    public function laterShare(float $recall): float
    {
        return $this->laterShare ?? $recall;
    }
}
