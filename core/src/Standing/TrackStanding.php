<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Record\Support;

/**
 * How one student stands, on a day, in an entry or in one side of it (engine 6 and 10).
 *
 * `recall` and `classRecall` are null where there was no contact; `classRecall` is recall as if home practice had not
 * been: where nobody has looked, that proves nothing.
 */
final readonly class TrackStanding
{
    public const HOLD_RECALL = 0.8;

    public const PASS_RECALL = 0.6;

    /** Under this, what was never seen is not expected to be there. */
    public const LOOK_RECALL = 0.5;

    /** Met on so many evenings, it is made up for: one evening of review does not teach what was missed. */
    private const EVENINGS_MAKE_UP = 3;

    /**
     * @param  int|null  $last  day of the last update
     * @param  bool  $isMissed  was neither taught to them, nor seen Cued or better, nor met on three evenings
     */
    public function __construct(
        public ?Support $support,
        public ?float $recall,
        public ?float $classRecall,
        public ?int $last = null,
        public bool $isMissed = true,
    ) {
    }

    public static function of(?Track $track, int $day, MemoryModel $model): self
    {
        if ($track === null) {
            return new self(null, null, null);
        }
        $recall = $track->recallOn($day, $model);
        $support = $track->level instanceof Support ? $track->level : null;

        return new self(
            $support,
            $recall,
            $track->withoutHome === null ? $recall : $track->classRecallOn($day, $model),
            $track->last,
            ! $track->wasTaught && $support?->isAtLeast(Support::Cued) !== true && $track->evenings() < self::EVENINGS_MAKE_UP,
        );
    }

    /** Whether there was any contact at all. */
    public function isMet(): bool
    {
        return $this->recall !== null;
    }

    /** From memory, and last seen alone or better. */
    public function holds(): bool
    {
        return $this->recalls(self::HOLD_RECALL) && $this->support?->isAtLeast(Support::Alone) === true;
    }

    /** Should hold by contact in class alone, but was never seen: drawn dotted. */
    public function isAssumed(): bool
    {
        return $this->support === null && $this->classRecall !== null && $this->classRecall >= self::HOLD_RECALL;
    }

    public function passes(): bool
    {
        return $this->isAssumed() || ($this->recalls(self::PASS_RECALL) && $this->support?->isAtLeast(Support::Alone) === true);
    }

    /** What keeps the student from going on from here; null: nothing. */
    public function notReady(): ?NotReady
    {
        return match (true) {
            // Unmet says that it was looked at, and was not there.
            $this->support !== null && ! $this->support->isAtLeast(Support::Cued) => NotReady::Following,
            $this->recall === null => NotReady::NeverMet,
            $this->support !== null => $this->recall < self::PASS_RECALL ? NotReady::Fading : null,
            $this->recall < self::LOOK_RECALL => NotReady::Faded,
            $this->isAssumed() => null,
            default => NotReady::NotSeen,
        };
    }

    public function readiness(): Readiness
    {
        return $this->notReady()?->readiness() ?? Readiness::Ready;
    }

    /** How sure we still are of it, or null when there was no contact. */
    public function sureness(): ?Sureness
    {
        return $this->recall === null ? null : Sureness::of($this->recall);
    }

    /**
     * The weaker of two sides. What holds passes, and what passes is ready, so the weaker by holding, then passing, then
     * readiness is the weaker in each of them.
     */
    public function weakerOf(self $other): self
    {
        $key = static fn (self $one): array => [$one->holds(), $one->passes(), $one->readiness()->rank(), $one->isMet(), $one->recall ?? 0.0, $one->support->value ?? -1];

        return $key($other) < $key($this) ? $other : $this;
    }

    private function recalls(float $least): bool
    {
        return $this->recall !== null && $this->recall >= $least;
    }
}
