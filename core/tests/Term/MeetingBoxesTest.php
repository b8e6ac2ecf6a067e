<?php

declare(strict_types=1);

use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\CourseMinutes;
use Gorvan\Core\Term\CourseNeed;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Tests\Said;

function boxes(int $total, float $new, float $run): MeetingBoxes
{
    return MeetingBoxes::planned($total, [new CourseNeed(1.0, $new, $run)]);
}

test('worked examples of the design', function (int $total, array $minutes) {
    expect(array_values(MeetingBoxes::unplanned($total)->all()))->toBe($minutes);
})->with([
    [45, [2, 8, 4, 11, 14, 3, 3]],
    [60, [2, 11, 6, 15, 19, 4, 3]],
    [75, [3, 14, 7, 19, 23, 5, 4]],
    [90, [4, 16, 9, 22, 28, 6, 5]],
]);

test('boxes always add up to the meeting, none is less than nothing, and each that is empty says so', function () {
    for ($total = 1; $total <= 240; $total++) {
        foreach ([MeetingBoxes::unplanned($total), boxes($total, 22.5, 4.1), boxes($total, 0, 0)] as $boxes) {
            expect(array_sum($boxes->all()))->toBe($total)->and(min($boxes->all()))->toBeGreaterThanOrEqual(0);
            foreach ([Box::Settle, Box::WarmUp, Box::Focus, Box::Close] as $box) {
                $said = str_contains(json_encode(array_map(fn ($note) => $note->toData(), $boxes->notes)), "\"box.$box->value\"");
                expect($said)->toBe($boxes->minutes($box) === 0);
            }
        }
    }
});

test('new work is rounded up and leaves review a fifth, run-through stays within 15 %, review has the rest', function () {
    $boxes = boxes(60, 20.2, 30);
    expect($boxes->minutes(Box::New))->toBe(21)->and($boxes->minutes(Box::RunThrough))->toBe(8)->and($boxes->minutes(Box::Review))->toBe(8)
        ->and(boxes(60, 4.0000000001, 0)->minutes(Box::New))->toBe(4)
        ->and(boxes(60, 99, 30)->minutes(Box::New))->toBe(29)
        ->and(boxes(60, 0, 30)->minutes(Box::RunThrough))->toBe(9);
});

test('what does not fit is said with its minutes', function () {
    expect(Said::all(boxes(60, 50, 4)->notes))->toContain('needs 50 min and has 29')->toContain('21 min short')->toContain('run-through needs 4')
        ->and(Said::all(boxes(5, 4, 1)->notes))->toContain('too short for settling')->toContain('too short for the close');
});

test('several courses share the middle by their shares, and their boxes are the sums', function () {
    $boxes = MeetingBoxes::planned(60, [new CourseNeed(0.6, 40, 0), new CourseNeed(0.4, 6, 9)]);
    expect($boxes->courses)->toEqual([new CourseMinutes(5, 17, 0), new CourseMinutes(6, 6, 3)])
        ->and($boxes->minutes(Box::New))->toBe(23)->and($boxes->minutes(Box::RunThrough))->toBe(3)->and(array_sum($boxes->all()))->toBe(60);
    for ($total = 10; $total < 120; $total++) {
        $three = MeetingBoxes::planned($total, [new CourseNeed(1, 5, 2), new CourseNeed(1, 0, 2), new CourseNeed(1, 9, 0)]);
        expect(array_sum($three->all()))->toBe($total);
    }
});

test('minutes move from one box to another, never more than there are', function () {
    $boxes = boxes(60, 20, 4);
    $review = $boxes->minutes(Box::Review);
    $moved = $boxes->given(0, 5, Box::Review, Box::Focus);
    expect($moved->minutes(Box::Review))->toBe($review - 5)
        ->and($moved->minutes(Box::Focus))->toBe($boxes->minutes(Box::Focus) + 5)
        ->and($boxes->given(0, 999, Box::Review, Box::Focus)->minutes(Box::Review))->toBe(0)
        ->and(array_sum($moved->all()))->toBe(60)
        ->and($boxes->minutes(Box::Review))->toBe($review); // what it was moved from is as it was
});

test('the boxes are in the order they are held', function () {
    $order = array_map(fn (Box $box) => $box->value, Box::cases());
    expect(array_keys(MeetingBoxes::unplanned(60)->all()))->toBe($order)->and(array_keys(boxes(60, 20, 4)->all()))->toBe($order);
});
