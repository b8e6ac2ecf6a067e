<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Passage;

/**
 * Chooses what to review (engine 7): the disjoint passages of known neighbours that are worth most, beside the price of their
 * minutes, within the minutes there are, each costing its setting up. Exact, by dynamic programming over entries x quarter minutes.
 *
 * Equal value (1e-12) goes to fewer minutes, then to the earliest first passage, then the earliest second, and so on. Pure.
 */
final readonly class ReviewChooser
{
    private const TIE = 1e-12;

    public function choose(ReviewProblem $problem): ReviewChoice
    {
        $budget = (int) floor(round($problem->budget * ReviewProblem::QUARTERS, 9));
        $setUp = ReviewProblem::quarters($problem->setUp);
        $values = $costs = [];
        foreach ($problem->entries as $item) {
            $values[] = $item === null ? null : $problem->worthOf($item);
            $costs[] = $item === null ? 0 : ReviewProblem::quarters($item->minutes);
        }
        // Where everything takes a multiple of some quarters, as entries of a plain list do, nothing is to be had in between.
        $step = array_reduce($costs, self::divisor(...), $setUp);
        $step = $step === 0 ? 1 : $step;
        [$budget, $setUp] = [intdiv($budget, $step), intdiv($setUp, $step)];
        $costs = array_map(static fn (int $cost): int => intdiv($cost, $step), $costs);
        [$opens, $goesOn] = self::decide($values, $costs, $budget, $setUp, $problem->openingCosts(), $problem->most);

        return self::walk($problem, $values, $costs, $step, $budget, $setUp, $opens, $goesOn);
    }

    private static function divisor(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a;
    }

    /**
     * From the last entry to the first: the best of what is left for each number of passages that may still be opened and each
     * number of quarters, where the entry before was chosen (`joined`) and where it was not (`fresh`). All numbers of passages
     * stand in one table, one after the other; where any number may be opened there is one of them, which opening a passage leaves.
     *
     * @param  list<float|null>  $values
     * @param  list<int>  $costs  quarters, or as many steps of some quarters
     * @param  float  $opening  what opening a passage takes off its worth
     * @return array{array<int, array<int, true>>, array<int, array<int, true>>} by entry and place in the table: where a passage
     *                                                                 opens, and where one that is open goes on
     */
    private static function decide(array $values, array $costs, int $budget, int $setUp, float $opening, ?int $most): array
    {
        $fresh = $joined = array_fill(0, (($most ?? 0) + 1) * ($budget + 1), 0.0);
        $freshUsed = $joinedUsed = array_fill(0, count($fresh), 0);
        $opens = $goesOn = [];
        $own = array_intersect_key($costs, array_filter($values, static fn (?float $value): bool => $value !== null));
        $before = array_sum($own);
        $cheapest = $own === [] ? 0 : min($own);
        for ($at = count($values) - 1; $at >= 0; $at--) {
            $value = $values[$at];
            if ($value === null) {
                [$joined, $joinedUsed, $opens[$at], $goesOn[$at]] = [$fresh, $freshUsed, [], []];

                continue;
            }
            $before -= $costs[$at];
            [$nextJoined, $nextJoinedUsed, $goesOn[$at]] = self::goneOn($fresh, $freshUsed, $joined, $joinedUsed, $value, $costs[$at], $budget, $setUp, $cheapest, $before, $most);
            [$fresh, $freshUsed, $opens[$at]] = self::opened($fresh, $freshUsed, $joined, $joinedUsed, $value - $opening, $costs[$at], $budget, $setUp, $cheapest, $before, $most);
            [$joined, $joinedUsed] = [$nextJoined, $nextJoinedUsed];
        }

        return [$opens, $goesOn];
    }

    /**
     * The best where a passage is open before an entry: it ends here, or goes on with it.
     *
     * @param  array<int, float>  $free  worth of what comes after, where it ends
     * @param  array<int, int>  $freeUsed  quarters of that
     * @param  array<int, float>  $bound  the same where it goes on
     * @param  array<int, int>  $boundUsed
     * @param  float  $value  of the entry, and `$cost` in quarters
     * @param  int  $cheapest  quarters of the entry that takes least, and `$before` of all before this one together
     * @return array{array<int, float>, array<int, int>, array<int, true>} worth, quarters, and where it goes on
     */
    private static function goneOn(array $free, array $freeUsed, array $bound, array $boundUsed, float $value, int $cost, int $budget, int $setUp, int $cheapest, int $before, ?int $most): array
    {
        [$ends, $endsUsed, $on] = [$free, $freeUsed, []];
        // Nobody is in a passage while as many may be opened as at the start.
        for ($may = $most === null ? 0 : $most - 1; $may >= 0; $may--) {
            [$least, $greatest] = self::left($budget, $setUp, $cheapest, $before, $most === null ? null : $most - $may);
            $table = $may * ($budget + 1);
            for ($left = $table + max($cost, $least); $left <= $table + $greatest; $left++) {
                $with = $value + $bound[$left - $cost];
                $gain = $with - $free[$left];
                // Whoever stops here ends the passage earlier, and so wins what is equal.
                if ($gain > self::TIE || ($gain >= -self::TIE && $cost + $boundUsed[$left - $cost] < $freeUsed[$left])) {
                    $ends[$left] = $with;
                    $endsUsed[$left] = $cost + $boundUsed[$left - $cost];
                    $on[$left] = true;
                }
            }
        }

        return [$ends, $endsUsed, $on];
    }

    /**
     * The best where none is open before an entry: it is left out, or a passage opens with it.
     *
     * @param  array<int, float>  $free  as in {@see goneOn()}
     * @param  array<int, int>  $freeUsed
     * @param  array<int, float>  $bound
     * @param  array<int, int>  $boundUsed
     * @return array{array<int, float>, array<int, int>, array<int, true>} worth, quarters, and where one opens
     */
    private static function opened(array $free, array $freeUsed, array $bound, array $boundUsed, float $value, int $cost, int $budget, int $setUp, int $cheapest, int $before, ?int $most): array
    {
        [$begins, $beginsUsed, $open] = [$free, $freeUsed, []];
        $takes = $cost + $setUp;
        for ($may = $most ?? 0; $may >= ($most === null ? 0 : 1); $may--) {
            [$least, $greatest] = self::left($budget, $setUp, $cheapest, $before, $most === null ? null : $most - $may);
            $table = $may * ($budget + 1);
            // One fewer may be opened from here on.
            $back = $takes + ($most === null ? 0 : $budget + 1);
            for ($left = $table + max($takes, $least); $left <= $table + $greatest; $left++) {
                $with = $value + $bound[$left - $back];
                $gain = $with - $free[$left];
                if ($gain < -self::TIE) {
                    continue;
                }
                $used = $takes + $boundUsed[$left - $back];
                // Whoever opens here begins earlier, and so wins what is equal, but for a passage that is worth nothing.
                if ($gain > self::TIE || $used < $freeUsed[$left] || ($used === $freeUsed[$left] && $used > 0)) {
                    $begins[$left] = $with;
                    $beginsUsed[$left] = $used;
                    $open[$left] = true;
                }
            }
        }

        return [$begins, $beginsUsed, $open];
    }

    /**
     * What can be left before an entry: each passage that was opened took its setting up and an entry, at least, and all before
     * this one, at most. Nothing else is ever asked for.
     *
     * @param  int|null  $opened  passages, null for any number
     * @return array{int, int} quarters, from and to
     */
    private static function left(int $budget, int $setUp, int $cheapest, int $before, ?int $opened): array
    {
        return match ($opened) {
            null => [0, $budget],
            0 => [$budget, $budget],
            default => [$budget - $opened * $setUp - $before, $budget - $opened * ($setUp + $cheapest)],
        };
    }

    /**
     * @param  list<float|null>  $values  worth of each entry beside its price
     * @param  list<int>  $costs
     * @param  int  $step  quarters
     * @param  array<int, array<int, true>>  $opens
     * @param  array<int, array<int, true>>  $goesOn
     */
    private static function walk(ReviewProblem $problem, array $values, array $costs, int $step, int $left, int $setUp, array $opens, array $goesOn): ReviewChoice
    {
        $passages = [];
        $from = null;
        $value = $worth = 0.0;
        $quarters = 0;
        $most = $problem->most;
        $may = $most ?? 0;
        $width = $left + 1;
        foreach ($values as $at => $own) {
            $place = $may * $width + $left;
            $isIn = $from === null ? isset($opens[$at][$place]) : isset($goesOn[$at][$place]);
            if (! $isIn) {
                if ($from !== null) {
                    $passages[] = new ChosenPassage(new Passage($from, $at), $value, $quarters * $step / ReviewProblem::QUARTERS, $worth);
                    $from = null;
                }

                continue;
            }
            if ($from === null) {
                [$from, $value, $worth, $quarters] = [$at + 1, 0.0, -$problem->openingCosts(), $setUp];
                $left -= $setUp;
                $may -= $most === null ? 0 : 1;
            }
            $value += $problem->entries[$at]->value ?? 0.0;
            $worth += $own ?? 0.0;
            $quarters += $costs[$at];
            $left -= $costs[$at];
        }
        if ($from !== null) {
            $passages[] = new ChosenPassage(new Passage($from, count($values)), $value, $quarters * $step / ReviewProblem::QUARTERS, $worth);
        }

        return new ReviewChoice($passages);
    }
}
