<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/**
 * Students split into pods that stand near each other in the form (engine 10): the split with the least total squared
 * distance to the mean of each pod, exactly, by dynamic programming over the students in order of their frontier. Pure.
 */
final class Pods
{
    public const LEAST = 3;

    public const USUAL = 2;

    public const MOST = 3;

    private const EQUAL = 1e-9;

    /**
     * @param  array<string, int>  $frontiers  by student, 0 where there is none
     * @param  int  $count  how many pods; fewer where there are not three students for each
     * @return list<non-empty-list<string>> the pod that stands nearest to the start first; within a pod by frontier, then as given
     */
    public static function split(array $frontiers, int $count = self::USUAL): array
    {
        $students = array_map(strval(...), array_keys($frontiers));
        usort($students, static fn (string $a, string $b): int => $frontiers[$a] <=> $frontiers[$b]); // stable, so ties stay as given
        $count = max(1, min($count, intdiv(count($students), self::LEAST)));
        if ($students === []) {
            return [];
        }
        $pods = [];
        $from = 0;
        foreach (self::cuts(array_map(static fn (string $student): int => $frontiers[$student], $students), $count) as $to) {
            $pods[] = array_slice($students, $from, $to - $from);
            $from = $to;
        }

        return $pods; // @phpstan-ignore return.type (no pod is empty)
    }

    /**
     * @param  list<int>  $values  in order
     * @return list<int> how many students stand before the end of each pod
     */
    private static function cuts(array $values, int $count): array
    {
        $n = count($values);
        $sums = $squares = [0];
        foreach ($values as $at => $value) {
            $sums[] = $sums[$at] + $value;
            $squares[] = $squares[$at] + $value * $value;
        }
        $cost = static fn (int $from, int $to): float => self::spread($sums[$to] - $sums[$from], $squares[$to] - $squares[$from], $to - $from);
        // From behind, so that of equal splits the one with the earlier first cut, then the earlier second, is found first.
        $best = [$count => []];
        $end = [];
        for ($from = 0; $from <= $n - self::LEAST || $from === 0; $from++) {
            $best[$count][$from] = $cost($from, $n);
            $end[$count][$from] = $n;
        }
        for ($pod = $count - 1; $pod >= 1; $pod--) {
            for ($from = 0; $from <= $n; $from++) {
                for ($to = $from + self::LEAST; $to <= $n - self::LEAST * ($count - $pod); $to++) {
                    $all = $cost($from, $to) + $best[$pod + 1][$to];
                    if (! isset($best[$pod][$from]) || $all < $best[$pod][$from] - self::EQUAL) {
                        [$best[$pod][$from], $end[$pod][$from]] = [$all, $to];
                    }
                }
            }
        }
        $cuts = [];
        for ($pod = 1, $from = 0; $pod <= $count; $pod++) {
            $cuts[] = $from = $end[$pod][$from];
        }

        return $cuts;
    }

    /** Squared distances to the mean, from a sum and a sum of squares. */
    private static function spread(int $sum, int $squares, int $count): float
    {
        return $count === 0 ? 0.0 : $squares - $sum * $sum / $count;
    }
}
