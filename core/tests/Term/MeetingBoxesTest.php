<?php

declare(strict_types=1);

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\CourseMinutes;
use Gorvan\Core\Term\CourseNeed;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\MeetingFrame;
use Gorvan\Core\Term\RunningOrder;
use Gorvan\Core\Tests\Said;

/** A meeting with one course, by the minutes of its new work and its run-through. */
function boxes(int $total, float $new, float $run, array $fixed = [], bool $hasFocus = true): MeetingBoxes
{
    $frame = MeetingFrame::of($total, $fixed, RunningOrder::usual($hasFocus));
    $own = static fn (string $box): ?int => $frame->fixed[$box] ?? null;

    return MeetingBoxes::planned($frame, [CourseMinutes::around($frame->minutes['middle'], new CourseNeed(1.0, $new, $run, null, MeetingBoxes::mostRunThrough($total, 1.0), $own('review'), $own('new'), $own('run_through')))]);
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

test('a group that works on no principles has no focus, and what it would have goes to all the others', function () {
    expect(boxes(75, 24, 5, hasFocus: false)->all())->toBe(['settle' => 3, 'warm_up' => 15, 'review' => 23, 'new' => 24, 'run_through' => 5, 'close' => 5])
        ->and(array_keys(MeetingBoxes::unplanned(75, false)->all()))->not->toContain('focus')
        ->and(boxes(60, 10, 2, ['focus' => 9], false)->all())->not->toHaveKey('focus');
});

test('a running order of its own: parts with minutes keep them, shares weigh beside each other, and all stand in its order', function () {
    $order = fn (array ...$parts): RunningOrder => RunningOrder::read(JsonNode::of(array_map(fn (array $part): object => (object) $part, $parts), '$.order'));
    $laid = function (int $total, RunningOrder $order, array $fixed = []): array {
        $frame = MeetingFrame::of($total, $fixed, $order);
        $own = fn (string $box): ?int => $frame->fixed[$box] ?? null;

        return MeetingBoxes::planned($frame, [CourseMinutes::around($frame->minutes['middle'], new CourseNeed(1.0, 20.0, 4.0, null, 15, $own('review'), $own('new'), $own('run_through')))])->all();
    };
    $long = $order(['kind' => 'warm_up', 'minutes' => 20], ['kind' => 'run_through'], ['kind' => 'new'], ['kind' => 'review'], ['kind' => 'close', 'share' => 10]);
    // 70 minutes less 20 are 50: the middle 62 and the close 10 of 72.
    expect($laid(70, $long))->toBe(['warm_up' => 20, 'run_through' => 4, 'new' => 20, 'review' => 19, 'close' => 7])
        ->and($long->middleOf(70))->toEqualWithDelta(50 * 62 / 72, 1e-9)
        ->and($laid(70, $long, ['warm_up' => 10, 'settle' => 9]))->toBe(['warm_up' => 10, 'run_through' => 4, 'new' => 20, 'review' => 28, 'close' => 8])
        // Review alone says its share, and stands for the middle; what is not in the order has no minutes, and what it leaves is open.
        ->and($laid(60, $order(['kind' => 'review', 'share' => 30], ['kind' => 'settle', 'share' => 30])))->toBe(['review' => 30, 'settle' => 30])
        ->and($laid(60, $order(['kind' => 'settle', 'minutes' => 40], ['kind' => 'new'])))->toBe(['settle' => 40, 'new' => 20])
        ->and($order(['kind' => 'review'], ['kind' => 'settle'])->bringsNew())->toBeFalse()->and($order(['kind' => 'new', 'minutes' => 0])->bringsNew())->toBeFalse()
        ->and($laid(75, RunningOrder::usual()))->toBe(boxes(75, 20.0, 4.0)->all());
    $wrong = fn (array ...$parts) => fn () => $order(...$parts);
    expect($wrong(['kind' => 'close'], ['kind' => 'settle']))->toThrow(BadInput::class, '$.order[0].kind')
        ->and($wrong(['kind' => 'settle'], ['kind' => 'settle']))->toThrow(BadInput::class, '$.order[1].kind')
        ->and($wrong(['kind' => 'talk']))->toThrow(BadInput::class, '$.order[0].kind')->and($wrong())->toThrow(BadInput::class, '$.order');
});

test('new work is rounded up, the run-through stays within 15 % and leaves review a fifth, review has the rest', function () {
    $boxes = boxes(60, 20.2, 30);
    expect($boxes->minutes(Box::New))->toBe(21)->and($boxes->minutes(Box::RunThrough))->toBe(8)->and($boxes->minutes(Box::Review))->toBe(8)
        ->and(boxes(60, 4.0000000001, 0)->minutes(Box::New))->toBe(4)
        ->and(boxes(60, 0, 30)->minutes(Box::RunThrough))->toBe(9);
});

test('what is fixed by hand keeps its minutes whatever gives way, and everything still adds up', function () {
    mt_srand(28);
    for ($round = 0; $round < 400; $round++) {
        $total = mt_rand(30, 120);
        $fixed = [];
        foreach (['settle', 'warm_up', 'focus', 'review', 'new', 'run_through', 'close'] as $box) {
            if (mt_rand(0, 2) === 0) {
                $fixed[$box] = mt_rand(0, 30);
            }
        }
        $boxes = boxes($total, mt_rand(0, 300) / 10, mt_rand(0, 200) / 10, $fixed);
        expect(array_sum($boxes->all()))->toBe($total)->and(min($boxes->all()))->toBeGreaterThanOrEqual(0);
        $isTooLong = array_sum($fixed) > $total || ! array_diff(['settle', 'warm_up', 'focus', 'review', 'new', 'run_through', 'close'], array_keys($fixed));
        foreach ($isTooLong ? [] : $fixed as $box => $minutes) {
            expect($boxes->minutes(Box::from($box)))->toBe($minutes, json_encode([$total, $fixed, $boxes->all()]));
        }
    }
    expect(boxes(75, 24, 5, ['review' => 30])->minutes(Box::Review))->toBe(30)
        ->and(boxes(75, 24, 5, ['focus' => 5])->minutes(Box::Focus))->toBe(5)
        ->and(boxes(75, 24, 5, ['new' => 0])->minutes(Box::New))->toBe(0);
});

test('parts that take more than a shortened meeting has give way from the last one on, and that is said', function () {
    $boxes = boxes(40, 5, 5, ['warm_up' => 20, 'new' => 20, 'close' => 10]);
    expect($boxes->all())->toBe(['settle' => 0, 'warm_up' => 20, 'focus' => 0, 'review' => 0, 'new' => 20, 'run_through' => 0, 'close' => 0])
        ->and(Said::all($boxes->notes))->toContain('take 50 minutes, and the meeting has 40');
});

test('several courses share the middle by their shares, and their boxes are the sums', function () {
    $frame = MeetingFrame::of(60);
    expect($frame->middles([0.6, 0.4]))->toBe([22, 15])->and($frame->middles([1, 1, 1]))->toBe([13, 12, 12]);
    $boxes = MeetingBoxes::planned($frame, [new CourseMinutes(5, 17, 0), new CourseMinutes(4, 6, 3, 2)]);
    expect($boxes->minutes(Box::New))->toBe(23)->and($boxes->minutes(Box::RunThrough))->toBe(3)->and($boxes->minutes(Box::Free))->toBe(2)->and(array_sum($boxes->all()))->toBe(60);
});

test('the boxes are in the order they are held, and what is left open comes before the close', function () {
    $order = array_map(fn (Box $box) => $box->value, Box::cases());
    $open = MeetingBoxes::planned(MeetingFrame::of(60), [new CourseMinutes(10, 10, 10, 7)])->all();
    expect(array_keys($open))->toBe($order)->and(array_keys(boxes(60, 20, 4)->all()))->toBe(array_values(array_diff($order, ['free'])));
});
