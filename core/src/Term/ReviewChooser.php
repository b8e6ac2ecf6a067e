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
     * @return array{array<int, array<int, string>>, array<int, array<int, string>>} by passages still to be opened and entry a byte
     *                                                                 for each number of quarters left: whether a passage opens there, and whether one that is open goes on
     */
    private static function decide(array $values, array $costs, int $budget, int $setUp, ?int $most): array
    {
        $layers = range(0, $most ?? 0);
        $none = array_fill(0, $budget + 1, 0.0);
        $fresh = $joined = array_fill_keys($layers, $none);
        $noneUsed = array_fill(0, $budget + 1, 0);
        $freshUsed = $joinedUsed = array_fill_keys($layers, $noneUsed);
        $opens = $goesOn = array_fill_keys($layers, []);
        for ($at = count($values) - 1; $at >= 0; $at--) {
            $value = $values[$at];
            $nothing = str_repeat("\0", $budget + 1);
            if ($value === null) {
                [$joined, $joinedUsed] = [$fresh, $freshUsed];
                foreach ($layers as $may) {
                    $opens[$may][$at] = $goesOn[$may][$at] = $nothing;
                }

                continue;
            }
            $cost = $costs[$at];
            $nextFresh = $nextFreshUsed = $nextJoined = $nextJoinedUsed = [];
            foreach ($layers as $may) {
                $below = $most === null ? 0 : $may - 1;
                [$open, $on] = [$nothing, $nothing];
                // Each table by a name of its own: looking them up at every quarter costs more than what is done there.
                [$free, $freeUsed, $bound, $boundUsed] = [$fresh[$may], $freshUsed[$may], $joined[$may], $joinedUsed[$may]];
                [$ends, $endsUsed] = [$free, $freeUsed];
                // Nobody is in a passage while as many may be opened as at the start.
                for ($left = $may === $most ? $budget + 1 : $cost; $left <= $budget; $left++) {
                    $with = $value + $bound[$left - $cost];
                    $gain = $with - $free[$left];
                    // Whoever stops here ends the passage earlier, and so wins what is equal.
                    if ($gain > self::TIE || ($gain >= -self::TIE && $cost + $boundUsed[$left - $cost] < $freeUsed[$left])) {
                        $ends[$left] = $with;
                        $endsUsed[$left] = $cost + $boundUsed[$left - $cost];
                        $on[$left] = "\1";
                    }
                }
                [$begins, $beginsUsed] = [$free, $freeUsed];
                [$bound, $boundUsed] = $below < 0 ? [[], []] : [$joined[$below], $joinedUsed[$below]];
                for ($left = $cost, $early = $cost + $setUp; $early <= $budget && $below >= 0; $left++, $early++) {
                    $with = $value + $bound[$left - $cost];
                    $gain = $with - $free[$early];
                    if ($gain < -self::TIE) {
                        continue;
                    }
                    $used = $cost + $boundUsed[$left - $cost] + $setUp;
                    // Whoever opens here begins earlier, and so wins what is equal, but for a passage that is worth nothing.
                    if ($gain > self::TIE || $used < $freeUsed[$early] || ($used === $freeUsed[$early] && $used > 0)) {
                        $begins[$early] = $with;
                        $beginsUsed[$early] = $used;
                        $open[$early] = "\1";
                    }
                }
                [$nextFresh[$may], $nextFreshUsed[$may], $nextJoined[$may], $nextJoinedUsed[$may]] = [$begins, $beginsUsed, $ends, $endsUsed];
                [$opens[$may][$at], $goesOn[$may][$at]] = [$open, $on];
            }
            [$fresh, $freshUsed, $joined, $joinedUsed] = [$nextFresh, $nextFreshUsed, $nextJoined, $nextJoinedUsed];
        }

        return [$opens, $goesOn];
    }

    /**
     * @param  list<float|null>  $values
     * @param  list<int>  $costs
     * @param  int  $step  quarters
     * @param  array<int, array<int, string>>  $opens
     * @param  array<int, array<int, string>>  $goesOn
     */
    private static function walk(array $values, array $costs, int $step, int $left, int $setUp, ?int $most, array $opens, array $goesOn): ReviewChoice
    {
        $passages = [];
        $from = null;
        $value = 0.0;
        $quarters = 0;
        $may = $most ?? 0;
        foreach ($values as $at => $own) {
            $isIn = ($from === null ? $opens[$may][$at][$left] : $goesOn[$may][$at][$left]) === "\1";
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
