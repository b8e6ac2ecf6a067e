<?php

declare(strict_types=1);

use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\MeetingBoxes;

test('worked examples of the design', function (int $total, array $minutes) {
    expect(array_values(MeetingBoxes::unplanned($total)->all()))->toBe($minutes);
})->with([
    [45, [2, 8, 4, 11, 14, 3, 3]],
    [60, [2, 11, 6, 15, 19, 4, 3]],
    [75, [3, 14, 7, 19, 23, 5, 4]],
    [90, [4, 16, 9, 22, 28, 6, 5]],
]);

test('boxes always add up to the meeting, and none is less than nothing', function () {
    for ($total = 1; $total <= 240; $total++) {
        foreach ([MeetingBoxes::unplanned($total), MeetingBoxes::planned($total, 22.5, 4.1), MeetingBoxes::planned($total, 0, 0)] as $boxes) {
            expect(array_sum($boxes->all()))->toBe($total)
                ->and(min($boxes->all()))->toBeGreaterThanOrEqual(0)
                ->and($total < 45 || $boxes->minutes(Box::WarmUp) >= 8)->toBeTrue();
        }
    }
});

test('new work and run-through are rounded up, run-through stays within 15 %, review has the rest', function () {
    $boxes = MeetingBoxes::planned(60, 20.2, 30);
    expect($boxes->minutes(Box::New))->toBe(21)->and($boxes->minutes(Box::RunThrough))->toBe(9)->and($boxes->minutes(Box::Review))->toBe(7)
        ->and(MeetingBoxes::planned(60, 4.0000000001, 0)->minutes(Box::New))->toBe(4);
});

test('what does not fit is said with its minutes', function () {
    expect(implode(' ', MeetingBoxes::planned(60, 50, 4)->warnings))->toContain('needs 50 minutes and only 37')->toContain('13 minutes short')->toContain('review');
});

test('minutes move from one box to another, never more than there are', function () {
    $boxes = MeetingBoxes::planned(60, 20, 4);
    $review = $boxes->minutes(Box::Review);
    $moved = $boxes->moved(5, Box::Review, Box::Focus);
    expect($moved->minutes(Box::Review))->toBe($review - 5)
        ->and($moved->minutes(Box::Focus))->toBe($boxes->minutes(Box::Focus) + 5)
        ->and($boxes->moved(999, Box::Review, Box::Focus)->minutes(Box::Review))->toBe(0)
        ->and(array_sum($moved->all()))->toBe(60)
        ->and($boxes->minutes(Box::Review))->toBe($review); // what it was moved from is as it was
});

test('the boxes are in the order they are held', function () {
    $order = array_map(fn (Box $box) => $box->value, Box::cases());
    expect(array_keys(MeetingBoxes::unplanned(60)->all()))->toBe($order)
        ->and(array_keys(MeetingBoxes::planned(60, 20, 4)->all()))->toBe($order);
});
