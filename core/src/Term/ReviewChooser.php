<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Passage;

/**
 * Chooses what to review (engine 7): the disjoint passages of known neighbours that are worth most within the minutes, each
 * costing its setting up. Exact, by dynamic programming over entries x quarter minutes.
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
            $values[] = $item->value ?? null;
            $costs[] = $item === null ? 0 : ReviewProblem::quarters($item->minutes);
        }
        // Where everything takes a multiple of some quarters, as entries of a plain list do, nothing is to be had in between.
        $step = array_reduce($costs, self::divisor(...), $setUp);
        $step = $step === 0 ? 1 : $step;
        [$budget, $setUp] = [intdiv($budget, $step), intdiv($setUp, $step)];
        $costs = array_map(static fn (int $cost): int => intdiv($cost, $step), $costs);
        [$opens, $goesOn] = self::decide($values, $costs, $budget, $setUp, $problem->most);

        return self::walk($values, $costs, $step, $budget, $setUp, $problem->most, $opens, $goesOn);
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
     * number of quarters, where the entry before was chosen (`joined`) and where it was not (`fresh`). Where any number may be
     * opened there is one such table, which opening a passage leaves.
     *
     * @param  list<float|null>  $values
     * @param  list<int>  $costs  quarters, or as many steps of some quarters
     * @return array{array<int, array<int, array<int, true>>>, array<int, array<int, array<int, true>>>} by passages still to be opened, entry and
     *                                                                 quarters left: where a passage opens, and where one that is open goes on
     */
    private static function decide(array $values, array $costs, int $budget, int $setUp, ?int $most): array
    {
        $layers = range(0, $most ?? 0);
        $none = array_fill(0, $budget + 1, 0.0);
        $fresh = $joined = array_fill_keys($layers, $none);
        $noneUsed = array_fill(0, $budget + 1, 0);
        $freshUsed = $joinedUsed = array_fill_keys($layers, $noneUsed);
        $opens = $goesOn = array_fill_keys($layers, []);
        $own = array_intersect_key($costs, array_filter($values, static fn (?float $value): bool => $value !== null));
        $before = array_sum($own);
        $cheapest = $own === [] ? 0 : min($own);
        for ($at = count($values) - 1; $at >= 0; $at--) {
            $value = $values[$at];
            if ($value === null) {
                [$joined, $joinedUsed] = [$fresh, $freshUsed];
                foreach ($layers as $may) {
                    $opens[$may][$at] = $goesOn[$may][$at] = [];
                }

                continue;
            }
            $cost = $costs[$at];
            $before -= $cost;
            $nextFresh = $nextFreshUsed = $nextJoined = $nextJoinedUsed = [];
            foreach ($layers as $may) {
                // What can be left here: each passage that was opened took its setting up and an entry, at least, and all before
                // this, at most. Nothing else is ever asked for.
                $opened = $most === null ? 0 : $most - $may;
                $greatest = $budget - $opened * ($setUp + $cheapest);
                $least = $most === null ? 0 : $budget - $opened * $setUp - ($opened === 0 ? 0 : $before);
                // Nobody is in a passage while as many may be opened as at the start.
                [$nextJoined[$may], $nextJoinedUsed[$may], $goesOn[$may][$at]] = $may === $most ? [$fresh[$may], $freshUsed[$may], []]
                    : self::goneOn($fresh[$may], $freshUsed[$may], $joined[$may], $joinedUsed[$may], $value, $cost, max($cost, $least), $greatest);
                $below = $most === null ? 0 : $may - 1;
                [$nextFresh[$may], $nextFreshUsed[$may], $opens[$may][$at]] = $below < 0 ? [$fresh[$may], $freshUsed[$may], []]
                    : self::opened($fresh[$may], $freshUsed[$may], $joined[$below], $joinedUsed[$below], $value, $cost + $setUp, max($cost + $setUp, $least), $greatest);
            }
            [$fresh, $freshUsed, $joined, $joinedUsed] = [$nextFresh, $nextFreshUsed, $nextJoined, $nextJoinedUsed];
        }

        return [$opens, $goesOn];
    }

    /**
     * The best where a passage is open before an entry: it ends here, or goes on with it.
     *
     * @param  array<int, float>  $free  worth of what comes after, where it ends, by quarters left
     * @param  array<int, int>  $freeUsed  quarters of that
     * @param  array<int, float>  $bound  the same where it goes on
     * @param  array<int, int>  $boundUsed
     * @param  float  $value  of the entry, and `$cost` in quarters
     * @return array{array<int, float>, array<int, int>, array<int, true>} worth, quarters, and where it goes on
     */
    private static function goneOn(array $free, array $freeUsed, array $bound, array $boundUsed, float $value, int $cost, int $least, int $greatest): array
    {
        [$ends, $endsUsed, $on] = [$free, $freeUsed, []];
        for ($left = $least; $left <= $greatest; $left++) {
            $with = $value + $bound[$left - $cost];
            $gain = $with - $free[$left];
            // Whoever stops here ends the passage earlier, and so wins what is equal.
            if ($gain > self::TIE || ($gain >= -self::TIE && $cost + $boundUsed[$left - $cost] < $freeUsed[$left])) {
                $ends[$left] = $with;
                $endsUsed[$left] = $cost + $boundUsed[$left - $cost];
                $on[$left] = true;
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
     * @param  int  $cost  of the entry and of setting up, quarters
     * @return array{array<int, float>, array<int, int>, array<int, true>} worth, quarters, and where one opens
     */
    private static function opened(array $free, array $freeUsed, array $bound, array $boundUsed, float $value, int $cost, int $least, int $greatest): array
    {
        [$begins, $beginsUsed, $open] = [$free, $freeUsed, []];
        for ($left = $least; $left <= $greatest; $left++) {
            $with = $value + $bound[$left - $cost];
            $gain = $with - $free[$left];
            if ($gain < -self::TIE) {
                continue;
            }
            $used = $cost + $boundUsed[$left - $cost];
            // Whoever opens here begins earlier, and so wins what is equal, but for a passage that is worth nothing.
            if ($gain > self::TIE || $used < $freeUsed[$left] || ($used === $freeUsed[$left] && $used > 0)) {
                $begins[$left] = $with;
                $beginsUsed[$left] = $used;
                $open[$left] = true;
            }
        }

        return [$begins, $beginsUsed, $open];
    }

    /**
     * @param  list<float|null>  $values
     * @param  list<int>  $costs
     * @param  int  $step  quarters
     * @param  array<int, array<int, array<int, true>>>  $opens
     * @param  array<int, array<int, array<int, true>>>  $goesOn
     */
    private static function walk(array $values, array $costs, int $step, int $left, int $setUp, ?int $most, array $opens, array $goesOn): ReviewChoice
    {
        $passages = [];
        $from = null;
        $value = 0.0;
        $quarters = 0;
        $may = $most ?? 0;
        foreach ($values as $at => $own) {
            $isIn = $from === null ? isset($opens[$may][$at][$left]) : isset($goesOn[$may][$at][$left]);
            if (! $isIn) {
                if ($from !== null) {
                    $passages[] = new ChosenPassage(new Passage($from, $at), $value, $quarters * $step / ReviewProblem::QUARTERS);
                    $from = null;
                }

                continue;
            }
            if ($from === null) {
                [$from, $value, $quarters] = [$at + 1, 0.0, $setUp];
                $left -= $setUp;
                $may -= $most === null ? 0 : 1;
            }
            $value += $own ?? 0.0;
            $quarters += $costs[$at];
            $left -= $costs[$at];
        }
        if ($from !== null) {
            $passages[] = new ChosenPassage(new Passage($from, count($values)), $value, $quarters * $step / ReviewProblem::QUARTERS);
        }

        return new ReviewChoice($passages);
    }
}
