<?php

declare(strict_types=1);

use Gorvan\Core\Term\ReviewChooser;
use Gorvan\Core\Term\ReviewItem;
use Gorvan\Core\Term\ReviewProblem;
use Tests\Outside\Reference;

test('60 random reviews of up to 120 entries, priced and not, are worth what HiGHS finds to be most, and add up to it (source: the HiGHS solver on npm)', function () {
    mt_srand(20261125);
    $problems = $asked = [];
    for ($number = 0; $number < 60; $number++) {
        $entries = [];
        for ($at = 0, $count = $number < 4 ? $number + 1 : mt_rand(5, 120); $at < $count; $at++) {
            $entries[] = mt_rand(0, 6) === 0 ? null : new ReviewItem(mt_rand(-2000, 10000) / 1e4, [mt_rand(0, 300) / 100, 0.25 * mt_rand(0, 20)][mt_rand(0, 1)], mt_rand(0, 9) === 0 ? mt_rand(0, 300) / 1e3 : null);
        }
        $problem = new ReviewProblem($entries, [mt_rand(0, 6000) / 100, 0.25 * mt_rand(0, 160), 0.0][$number % 20 === 19 ? 2 : mt_rand(0, 1)], [1.5, 0.0, 0.6, 3.0][$number % 4], [null, null, 3, 1, 0][$number % 5], [0.0, 0.02, 0.15][$number % 3]);
        $problems[] = $problem;
        $asked[] = ['entries' => array_map(fn (?ReviewItem $item) => $item === null ? null : ['value' => $item->value, 'minutes' => $item->minutes, ...($item->price === null ? [] : ['price' => $item->price])], $entries), 'price' => $problem->price, 'budget' => $problem->budget, 'setup' => $problem->setUp, 'most' => $problem->most];
    }
    $several = 0;
    foreach (Reference::ask('review.mjs', $asked) as $at => $best) {
        $choice = (new ReviewChooser)->choose($problems[$at]);
        $own = $minutes = 0.0;
        $before = 0;
        foreach ($choice->passages as $one) {
            // The answer itself: in order, apart, known entries only, and it adds up to what is said.
            expect($one->passage->from)->toBeGreaterThan($before + ($before === 0 ? 0 : 1));
            $before = $one->passage->to;
            $minutes += ceil($problems[$at]->setUp * 4) / 4;
            $own -= $problems[$at]->price * ceil($problems[$at]->setUp * 4) / 4;
            foreach (array_slice($problems[$at]->entries, $one->passage->from - 1, $one->passage->to - $one->passage->from + 1) as $item) {
                expect($item)->not->toBeNull();
                $own += $item->value - ($item->price ?? $problems[$at]->price) * min(2, ceil(round($item->minutes * 4, 9)) / 4);
                $minutes += ceil(round($item->minutes * 4, 9)) / 4;
            }
        }
        expect($best['status'])->toBe('Optimal')
            ->and($choice->worth())->toEqualWithDelta($best['value'], 1e-9)
            ->and($own)->toEqualWithDelta($best['value'], 1e-9)
            ->and($minutes)->toEqualWithDelta($choice->minutes(), 1e-9)->toBeLessThanOrEqual($problems[$at]->budget + 1e-9);
        expect(count($choice->passages))->toBeLessThanOrEqual($problems[$at]->most ?? 999);
        $several += (int) (count($choice->passages) > 1);
    }
    expect($several)->toBeGreaterThan(10);
});
