<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\ReviewList;

/** @param  array<int, float>  $recalls @return list<PlannedReview> for a form of entries of 12 seconds each */
function review(int $minutes, array $recalls): array
{
    $entries = array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at"), range(1, 40));

    return (new ReviewList(new Form('T', $entries)))->fill($minutes, $recalls);
}

test('nothing known is nothing to review', function () {
    expect(review(20, []))->toBe([]);
});

test('a box too short for one passage stays empty', function () {
    expect(review(2, [1 => 0.5]))->toBe([]) // 1.5 to set up, 0.6 for three passes
        ->and(review(3, [1 => 0.5]))->toHaveCount(1);
});

test('the list never takes more than its minutes', function () {
    mt_srand(8);
    for ($round = 0; $round < 50; $round++) {
        $recalls = [];
        foreach (range(1, mt_rand(1, 40)) as $position) {
            $recalls[$position] = mt_rand(0, 100) / 100;
        }
        $minutes = mt_rand(0, 40);
        expect(ReviewList::total(review($minutes, $recalls)))->toBeLessThanOrEqual($minutes + 1e-9);
    }
});

test('the weakest are taken first, and neighbours become one passage', function () {
    $items = review(6, [1 => 0.9, 5 => 0.3, 6 => 0.4, 20 => 0.95]);
    expect($items[0]->entries)->toBe(['e5', 'e6'])
        ->and($items[0]->why['recall'])->toEqualWithDelta(0.35, 1e-12);
});

test('of equals the earlier comes first', function () {
    expect(review(3, [9 => 0.5, 3 => 0.5])[0]->entries)->toBe(['e3']);
});

test('minutes left over buy passes for the weakest, at most six', function () {
    [$weak, $strong] = review(60, [1 => 0.2, 10 => 0.9]);
    expect($weak->passes)->toBe(6)->and($strong->passes)->toBe(6);
    [$weak, $strong] = review(5, [1 => 0.2, 10 => 0.9]); // 2 x 2.1 minutes, and 0.8 left over
    expect($weak->passes)->toBe(5)->and($strong->passes)->toBe(5);
});
