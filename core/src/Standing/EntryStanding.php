<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Memory\Standing;
use Gorvan\Core\Memory\Support;

/** Where one student stands with one entry of a form (engine 6 and 10). */
final readonly class EntryStanding
{
    public const HOLD_RECALL = 0.8;

    public const PASS_RECALL = 0.6;

    /** @param  int  $position from 1 */
    public function __construct(
        public int $position,
        public ?Support $support,
        public ?float $recall,
        public ?string $last = null,
    ) {
    }

    /**
     * An entry kept per side stands where its weaker side stands; with one side never met, it is not met.
     *
     * @param  array<string, Standing>  $tracks  the whole entry (key empty), or its sides (`left`, `right`)
     */
    public static function of(int $position, array $tracks): self
    {
        $isOneSideUnmet = isset($tracks['left']) !== isset($tracks['right']);
        $supports = $recalls = $days = [];
        foreach ($tracks as $track) {
            $supports[] = $track->support;
            $recalls[] = $track->recall;
            $days[] = $track->last;
        }
        $seen = array_filter($supports, static fn (?Support $support): bool => $support !== null);
        usort($seen, static fn (Support $a, Support $b): int => $a->value <=> $b->value);
        $recalled = array_filter($recalls, static fn (?float $recall): bool => $recall !== null);

        return new self(
            $position,
            $seen[0] ?? null,
            $recalled === [] || $isOneSideUnmet || count($recalled) < count($recalls) ? null : min($recalled),
            array_filter($days) === [] ? null : max(array_filter($days)),
        );
    }

    /** Whether there was any contact at all. */
    public function isMet(): bool
    {
        return $this->recall !== null;
    }

    /** How sure we still are of it, or null when there was no contact. */
    public function sureness(): ?Sureness
    {
        return match (true) {
            ! $this->isMet() => null,
            $this->recalls(self::HOLD_RECALL) => Sureness::Good,
            $this->recalls(self::PASS_RECALL) => Sureness::Fading,
            default => Sureness::Weak,
        };
    }

    /** From memory, and last seen alone or better. */
    public function holds(): bool
    {
        return $this->recalls(self::HOLD_RECALL) && $this->support?->isAtLeast(Support::Alone) === true;
    }

    /** Should hold by contact alone, but was never seen: drawn dotted. */
    public function isAssumed(): bool
    {
        return $this->support === null && $this->recalls(self::HOLD_RECALL);
    }

    public function passes(): bool
    {
        return $this->isAssumed()
            || ($this->recalls(self::PASS_RECALL) && $this->support?->isAtLeast(Support::Alone) === true);
    }

    /** Good enough to lead into the next lesson: cued or better, or assumed, and recalled. */
    public function isReady(): bool
    {
        return $this->isAssumed()
            || ($this->recalls(self::PASS_RECALL) && $this->support?->isAtLeast(Support::Cued) === true);
    }

    private function recalls(float $least): bool
    {
        return $this->recall !== null && $this->recall >= $least;
    }
}
