<?php

declare(strict_types=1);

use Gorvan\Core\Term\ChosenPassage;
use Gorvan\Core\Term\ReviewChooser;
use Gorvan\Core\Term\ReviewItem;
use Gorvan\Core\Term\ReviewProblem;

/** @param  list<array{float, float}|null>  $entries */
function chosen(array $entries, float $budget, float $setUp = 1.5, ?int $most = null): array
{
    $choice = (new ReviewChooser)->choose(new ReviewProblem(array_map(fn (?array $one) => $one === null ? null : new ReviewItem(...$one), $entries), $budget, $setUp, $most));

    return array_map(fn (ChosenPassage $one) => [$one->passage->from, $one->passage->to, $one->minutes], $choice->passages);
}

test('neighbours share one setting up, and a gap parts them', function () {
    expect(chosen([[1, 1], [1, 1], [1, 1]], 4.5))->toBe([[1, 3, 4.5]])
        ->and(chosen([[1, 1], null, [1, 1]], 4.5))->toBe([[1, 1, 2.5]])
        ->and(chosen([[1, 1], null, [1, 1]], 5.0))->toBe([[1, 1, 2.5], [3, 3, 2.5]]);
});

test('what is worth less than nothing is taken only on the way to more', function () {
    expect(chosen([[-1, 1]], 10))->toBe([])
        ->and(chosen([[2, 1], [-0.5, 1], [2, 1]], 10))->toBe([[1, 1, 2.5], [3, 3, 2.5]]) // where the minutes are there, two passages are worth more
        ->and(chosen([[2, 1], [-0.5, 1], [2, 1]], 4.5))->toBe([[1, 3, 4.5]]);
});

test('minutes are counted in quarters, rounded up, and no more than there are', function () {
    expect(chosen([[1, 0.1]], 1.75))->toBe([[1, 1, 1.75]])->and(chosen([[1, 0.26]], 1.99))->toBe([])
        ->and(chosen([[1, 0.6]], 2.25))->toBe([[1, 1, 2.25]])->and(chosen([[1, 1]], 0))->toBe([])->and(chosen([], 10))->toBe([]);
});

test('equal value goes to fewer minutes, then to the earliest passage', function () {
    expect(chosen([[1, 2], null, [1, 1], null, [1, 1]], 3.5))->toBe([[3, 3, 2.5]])
        ->and(chosen([[0, 1], [1, 1], [0, 1]], 10))->toBe([[2, 2, 2.5]]);
});

test('nothing but what the minutes allow is ever chosen, on random problems, edges of the budget among them', function (int $coarse) {
    mt_srand(7);
    for ($round = 0; $round < 200; $round++) {
        $entries = array_map(fn () => mt_rand(0, 5) === 0 ? null : [mt_rand(-20, 100) / 100, mt_rand(0, intdiv(16, $coarse)) * $coarse / 8], range(1, mt_rand(1, 12)));
        $budget = mt_rand(0, 40) / 4;
        $setUp = [0.0, 0.5, 1.5][mt_rand(0, 2)];
        $most = [null, 0, 1, 2, 3][mt_rand(0, 4)];
        $choice = chosen($entries, $budget, $setUp, $most);
        $value = fn (array $passages) => array_sum(array_map(fn ($one) => array_sum(array_map(fn ($entry) => $entry[0], array_slice($entries, $one[0] - 1, $one[1] - $one[0] + 1))), $passages));
        expect(array_sum(array_column($choice, 2)))->toBeLessThanOrEqual($budget)
            ->and($value($choice))->toEqualWithDelta(bestByHand($entries, $budget, $setUp, $most), 1e-9)
            ->and(count($choice))->toBeLessThanOrEqual($most ?? 12);
    }
})->with(['in eighths of a minute' => 1, 'in halves, which share a step' => 4, 'in whole minutes' => 8]);

/** Every choice of entries there is. */
function bestByHand(array $entries, float $budget, float $setUp, ?int $most): float
{
    $best = 0.0;
    for ($bits = 0; $bits < 1 << count($entries); $bits++) {
        $value = $quarters = $opened = 0;
        $isOpen = false;
        foreach ($entries as $at => $entry) {
            if (($bits >> $at & 1) === 0) {
                $isOpen = false;

                continue;
            }
            if ($entry === null) {
                continue 2;
            }
            $quarters += (int) ceil($entry[1] * 4) + ($isOpen ? 0 : (int) ceil($setUp * 4));
            $value += $entry[0];
            $opened += $isOpen ? 0 : 1;
            $isOpen = true;
        }
        $best = $quarters <= floor($budget * 4) && $opened <= ($most ?? 12) ? max($best, $value) : $best;
    }

    return $best;
}
