<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** A passage somebody could be looked at in, and how soon it matters (engine 11). */
final readonly class WatchPassage
{
    private const RECAP = 1.0;

    private const TONIGHT = 0.8;

    private const OTHER = 0.5;

    /** @param  list<string>  $entries  by id, at least one */
    private function __construct(public array $entries, public float $soon)
    {
    }

    public function isTonight(): bool
    {
        return $this->soon > self::OTHER;
    }

    /**
     * What of it is among some entries; null where nothing is.
     *
     * @param  list<string>  $entries
     */
    public function only(array $entries): ?self
    {
        $own = array_values(array_intersect($this->entries, $entries));

        return $own === [] ? null : new self($own, $this->soon);
    }

    /**
     * Tonight's passages and others that were taught, in the order in which equals are chosen. Empty ones are left out.
     *
     * @param  list<string>  $recap  of tonight's lesson
     * @param  list<list<string>>  $review
     * @param  list<string>  $runThrough
     * @param  list<list<string>>  $others
     * @return list<self>
     */
    public static function of(array $recap, array $review, array $runThrough, array $others): array
    {
        $passages = [
            new self($recap, self::RECAP),
            ...array_map(static fn (array $entries): self => new self($entries, self::TONIGHT), [...$review, $runThrough]),
            ...array_map(static fn (array $entries): self => new self($entries, self::OTHER), $others),
        ];

        return array_values(array_filter($passages, static fn (self $passage): bool => $passage->entries !== []));
    }
}
