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
        [$opens, $goesOn] = self::decide($values, $costs, $budget, $setUp);

        return self::walk($values, $costs, $budget, $setUp, $opens, $goesOn);
    }

    /**
     * From the last entry to the first: the best of what is left for each number of quarters, where the entry before was
     * chosen (`joined`) and where it was not (`fresh`).
     *
     * @param  list<float|null>  $values
     * @param  list<int>  $costs  quarters
     * @return array{array<int, string>, array<int, string>} by entry a byte for each number of quarters left: whether a passage opens
     *                                           there, and whether one that is open goes on
     */
    private static function decide(array $values, array $costs, int $budget, int $setUp): array
    {
        $fresh = $joined = array_fill(0, $budget + 1, 0.0);
        $freshUsed = $joinedUsed = array_fill(0, $budget + 1, 0);
        $opens = $goesOn = [];
        for ($at = count($values) - 1; $at >= 0; $at--) {
            $value = $values[$at];
            $open = $on = str_repeat("\0", $budget + 1);
            if ($value === null) {
                [$joined, $joinedUsed] = [$fresh, $freshUsed];
                [$opens[$at], $goesOn[$at]] = [$open, $on];

                continue;
            }
            [$nextFresh, $nextFreshUsed] = [$fresh, $freshUsed];
            [$newJoined, $newJoinedUsed] = [$fresh, $freshUsed];
            $cost = $costs[$at];
            for ($left = $cost; $left <= $budget; $left++) {
                $with = $value + $joined[$left - $cost];
                $used = $cost + $joinedUsed[$left - $cost];
                $gain = $with - $fresh[$left];
                // Whoever stops here ends the passage earlier, and so wins what is equal.
                if ($gain > self::TIE || ($gain >= -self::TIE && $used < $freshUsed[$left])) {
                    $newJoined[$left] = $with;
                    $newJoinedUsed[$left] = $used;
                    $on[$left] = "\1";
                }
                $early = $left + $setUp;
                if ($early > $budget) {
                    continue;
                }
                $gain = $with - $fresh[$early];
                $used += $setUp;
                // Whoever opens here begins earlier, and so wins what is equal, but for a passage that is worth nothing.
                if ($gain > self::TIE || ($gain >= -self::TIE && ($used < $freshUsed[$early] || ($used === $freshUsed[$early] && $used > 0)))) {
                    $nextFresh[$early] = $with;
                    $nextFreshUsed[$early] = $used;
                    $open[$early] = "\1";
                }
            }
            [$fresh, $freshUsed, $joined, $joinedUsed] = [$nextFresh, $nextFreshUsed, $newJoined, $newJoinedUsed];
            [$opens[$at], $goesOn[$at]] = [$open, $on];
        }

        return [$opens, $goesOn];
    }

    /**
     * @param  list<float|null>  $values
     * @param  list<int>  $costs
     * @param  array<int, string>  $opens
     * @param  array<int, string>  $goesOn
     */
    private static function walk(array $values, array $costs, int $left, int $setUp, array $opens, array $goesOn): ReviewChoice
    {
        $passages = [];
        $from = null;
        $value = 0.0;
        $quarters = 0;
        foreach ($values as $at => $own) {
            $isIn = ($from === null ? $opens[$at][$left] : $goesOn[$at][$left]) === "\1";
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
