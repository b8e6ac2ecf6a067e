<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Level;
use Gorvan\Core\Record\Support;

/**
 * One contact as the memory model reads it: a grade 1..4, and the share 0..1 of it that was truly remembered. Where the
 * outcome was not seen the share is known at the first contact only; later it is the recall itself, or a part of it.
 */
final readonly class Evidence
{
    /** @param  float|null  $laterShare  null where it is `recallPart` of the recall at that moment */
    private function __construct(public int $grade, public float $firstShare, public ?float $laterShare, public float $recallPart = 1.0)
    {
    }

    public static function seen(int $grade, float $share): self
    {
        return new self($grade, $share, $share);
    }

    /** Present when its lesson was given; a principle, when it was the focus. */
    public static function taught(): self
    {
        return new self(2, 0.5, null);
    }

    /** Known before the group was kept here (`before`). */
    public static function knownBefore(): self
    {
        return self::seen(3, 1.0);
    }

    /** Present when it was reviewed, or practised at home. */
    public static function practised(): self
    {
        return new self(2, 0.0, null);
    }

    /** Gone through once, in motion: as practice, with half the share later. */
    public static function ranThrough(): self
    {
        return new self(2, 0.0, null, 0.5);
    }

    /** How a fact is read; null where it says nothing about memory, as a mark Unmet does (engine 6). */
    public static function of(Fact $fact): ?self
    {
        return match ($fact->kind) {
            FactKind::Mark => $fact->level === null ? null : self::ofMark($fact->level),
            FactKind::Taught => self::taught(),
            FactKind::Before => self::knownBefore(),
            FactKind::Practice, FactKind::Home => self::practised(),
            FactKind::RunThrough => self::ranThrough(),
            FactKind::Withdraw => null,
        };
    }

    public static function ofMark(Level $level): ?self
    {
        return match ($level) {
            Support::Following => self::seen(1, 0.0),
            Support::Cued, Keeping::Reminded => self::seen(2, 0.5),
            Support::Alone, Keeping::Slow, Keeping::Stopped => self::seen(3, 1.0),
            Support::Flowing, Support::Leading, Keeping::Throughout => self::seen(4, 1.0),
            default => null,
        };
    }

    public function wasSeen(): bool
    {
        return $this->laterShare !== null;
    }
}
