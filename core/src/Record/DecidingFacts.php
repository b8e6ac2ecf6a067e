<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** One fact a day: which of the facts about one subject decides each day (engine 6). */
final class DecidingFacts
{
    /**
     * @param  list<Fact>  $facts  that stand, about one subject or one side of it, in any order
     * @return array<int, Fact> by day, in order of the days
     */
    public static function of(array $facts): array
    {
        $days = [];
        foreach ($facts as $fact) {
            $known = $days[$fact->day] ?? null;
            if ($known === null || $fact->beats($known)) {
                $days[$fact->day] = $fact;
            }
        }
        ksort($days);

        return $days;
    }

    /** @param  list<Fact>  $facts */
    public static function nameASide(array $facts): bool
    {
        foreach ($facts as $fact) {
            if ($fact->side !== null) {
                return true;
            }
        }

        return false;
    }
}
