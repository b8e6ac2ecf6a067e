<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/**
 * Pairs of like size and standing for a partner drill (engine 17). Everyone stands in a row by size, then by frontier, and
 * neighbours are paired; of an odd number one pair becomes a three, where that puts the least unlike people together: first by
 * size, then by frontier, by the squared difference of the outer two. Ties go to the three that stands nearest to the start.
 * Within one size that is the best of all pairings. Pure.
 */
final class Pairs
{
    /**
     * @param  list<Pairable>  $students
     * @return list<non-empty-list<string>> ids: pairs, one three where the number is odd, one alone where there is nobody else
     */
    public static function of(array $students): array
    {
        usort($students, static fn (Pairable $a, Pairable $b): int => [$a->sizeRank(), $a->frontier, $a->id] <=> [$b->sizeRank(), $b->frontier, $b->id]);
        $ids = array_map(static fn (Pairable $one): string => $one->id, $students);
        if (count($ids) < 2) {
            return $ids === [] ? [] : [$ids];
        }
        $three = count($ids) % 2 === 0 ? null : self::three($students);
        $pairs = [];
        for ($from = 0; $from < count($ids); $from += $length) {
            $length = $from === $three ? 3 : 2;
            $pairs[] = array_slice($ids, $from, $length);
        }

        return $pairs; // @phpstan-ignore return.type (no slice is empty)
    }

    /**
     * Where the three begins.
     *
     * @param  list<Pairable>  $row  an odd number
     */
    private static function three(array $row): int
    {
        $best = null;
        $at = 0;
        for ($three = 0; $three < count($row); $three += 2) {
            if ($three + 3 > count($row)) {
                break;
            }
            $cost = [0, 0];
            for ($from = 0; $from < count($row); $from += $length) {
                $length = $from === $three ? 3 : 2;
                $first = $row[$from];
                $last = $row[$from + $length - 1];
                $cost[0] += ($last->sizeRank() - $first->sizeRank()) ** 2;
                $cost[1] += ($last->frontier - $first->frontier) ** 2;
            }
            if ($best === null || $cost < $best) {
                [$best, $at] = [$cost, $three];
            }
        }

        return $at;
    }
}
