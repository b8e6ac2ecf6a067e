<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Record\Keeping;

/** How one student stands, on a day, in a principle (engine 5 and 6). `recall` is null where it was never worked on. */
final readonly class KeepingStanding
{
    private function __construct(public ?Keeping $keeping, public ?float $recall, private ?float $classRecall)
    {
    }

    public static function of(?Track $track, int $day, MemoryModel $model): self
    {
        return $track === null ? new self(null, null, null) : new self(
            $track->level instanceof Keeping ? $track->level : null,
            $track->recallOn($day, $model),
            $track->classRecallOn($day, $model),
        );
    }

    public function isMet(): bool
    {
        return $this->recall !== null;
    }

    /** Seen still there when the class was stopped, or better, and recalled. */
    public function holds(): bool
    {
        return $this->keeping !== null && $this->keeping->value >= Keeping::Stopped->value && $this->recall !== null && $this->recall >= TrackStanding::HOLD_RECALL;
    }

    /** Should be there by what was worked on in class alone, but was never seen: drawn dotted. */
    public function isAssumed(): bool
    {
        return $this->keeping === null && $this->classRecall !== null && $this->classRecall >= TrackStanding::HOLD_RECALL;
    }

    public function sureness(): ?Sureness
    {
        return $this->recall === null ? null : Sureness::of($this->recall);
    }

    /**
     * What a group keeps of a principle on average; who never met it counts as nothing (engine 16).
     *
     * @param  list<self>  $group
     * @return float|null 0..1, null for a group of nobody
     */
    public static function mean(array $group): ?float
    {
        return $group === [] ? null : array_sum(array_map(static fn (self $one): float => $one->recall ?? 0.0, $group)) / count($group);
    }

    /**
     * Whether a principle slips from a group: worked on, and not what it recalls any more.
     *
     * @param  list<self>  $group
     */
    public static function slips(array $group): bool
    {
        $mean = self::mean($group);

        return $mean !== null && $mean < TrackStanding::HOLD_RECALL && array_filter($group, static fn (self $one): bool => $one->isMet()) !== [];
    }
}
