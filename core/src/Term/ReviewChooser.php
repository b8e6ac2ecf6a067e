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
        [$opens, $goesOn] = self::decide($values, $costs, $budget, $setUp, $problem->most);

        return self::walk($values, $costs, $budget, $setUp, $problem->most, $opens, $goesOn);
    }

    /**
     * From the last entry to the first: the best of what is left for each number of passages that may still be opened and each
     * number of quarters, where the entry before was chosen (`joined`) and where it was not (`fresh`). Where any number may be
     * opened there is one such table, which opening a passage leaves.
     *
     * @param  list<float|null>  $values
     * @param  list<int>  $costs  quarters
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
            [$nextFresh, $nextFreshUsed, $nextJoined, $nextJoinedUsed] = [$fresh, $freshUsed, $fresh, $freshUsed];
            foreach ($layers as $may) {
                $below = $most === null ? 0 : $may - 1;
                [$open, $on] = [$nothing, $nothing];
                for ($left = $cost; $left <= $budget; $left++) {
                    $with = $value + $joined[$may][$left - $cost];
                    $used = $cost + $joinedUsed[$may][$left - $cost];
                    $gain = $with - $fresh[$may][$left];
                    // Whoever stops here ends the passage earlier, and so wins what is equal.
                    if ($gain > self::TIE || ($gain >= -self::TIE && $used < $freshUsed[$may][$left])) {
                        $nextJoined[$may][$left] = $with;
                        $nextJoinedUsed[$may][$left] = $used;
                        $on[$left] = "\1";
                    }
                    $early = $left + $setUp;
                    if ($early > $budget || $below < 0) {
                        continue;
                    }
                    $with = $value + $joined[$below][$left - $cost];
                    $used = $cost + $joinedUsed[$below][$left - $cost] + $setUp;
                    $gain = $with - $fresh[$may][$early];
                    // Whoever opens here begins earlier, and so wins what is equal, but for a passage that is worth nothing.
                    if ($gain > self::TIE || ($gain >= -self::TIE && ($used < $freshUsed[$may][$early] || ($used === $freshUsed[$may][$early] && $used > 0)))) {
                        $nextFresh[$may][$early] = $with;
                        $nextFreshUsed[$may][$early] = $used;
                        $open[$early] = "\1";
                    }
                }
                [$opens[$may][$at], $goesOn[$may][$at]] = [$open, $on];
            }
            [$fresh, $freshUsed, $joined, $joinedUsed] = [$nextFresh, $nextFreshUsed, $nextJoined, $nextJoinedUsed];
        }

        return [$opens, $goesOn];
    }

    /**
     * @param  list<float|null>  $values
     * @param  list<int>  $costs
     * @param  array<int, array<int, string>>  $opens
     * @param  array<int, array<int, string>>  $goesOn
     */
    private static function walk(array $values, array $costs, int $left, int $setUp, ?int $most, array $opens, array $goesOn): ReviewChoice
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
                    $passages[] = new ChosenPassage(new Passage($from, $at), $value, $quarters / ReviewProblem::QUARTERS);
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
            $passages[] = new ChosenPassage(new Passage($from, count($values)), $value, $quarters / ReviewProblem::QUARTERS);
        }

        return new ReviewChoice($passages);
    }
}
