<?php

declare(strict_types=1);

use Gorvan\Core\Floor\FrontFacing;
use Gorvan\Core\Floor\Room;
use Gorvan\Core\Floor\RoomFit;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Form\Track\Footing;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Sample;

/** @return array{float, float, float} */
function endOf(FloorTrack $track): array
{
    return [round($track->end()->x, 9), round($track->end()->y, 9), $track->end()->facing];
}

test('a square walked clockwise returns to its corner, exactly', function () {
    $side = ['travel' => [3, 0], 'turn' => 90];
    expect(endOf(FloorTrack::of(Sample::form([$side, $side, $side, $side]))))->toBe([0.0, 0.0, 360.0]);
});

test('travel is in the frame at the start of the entry, and the turn comes after it', function () {
    $track = FloorTrack::of(Sample::form([['travel' => [1, 0], 'turn' => 90], ['travel' => [2, 1], 'turn' => 0]]));
    // 1 forward, then facing right: 2 forward is 2 to the right, 1 to the right is 1 back.
    expect(endOf($track))->toBe([2.0, 0.0, 90.0])->and($track->isComplete())->toBeTrue();
});

test('what an entry does not say adds nothing and is known', function () {
    $track = FloorTrack::of(Sample::form([['travel' => [1, 0]], [], ['turn' => 45], ['kind' => 'extra']]));
    expect($track->unknown)->toBe([1, 2, 3])->and(endOf($track))->toBe([0.0, 1.0, 45.0]);
});

test('mirrored, left is right and forward stays forward', function () {
    $form = Sample::form([['travel' => [1, 2], 'turn' => 90], ['travel' => [1, 0], 'turn' => 0]]);
    expect(endOf(FloorTrack::of($form)->mirrored()))->toBe([-3.0, 1.0, -90.0]);
});

test('a hall fits a form, and says from where', function () {
    // 10 steps forward of 0.6 m and back to the start: 6 m of path, and 1.8 m for the arms.
    $form = Sample::form([['travel' => [10, 0], 'turn' => 180], ['travel' => [10, 0], 'turn' => 180]]);
    $fit = RoomFit::best(FloorTrack::of($form), new Room(4.0, 8.0));
    expect($fit->fits())->toBeTrue()->and($fit->facing)->toBeIn([0, 180])
        ->and($fit->needs)->toEqualWithDelta([1.8, 7.8], 1e-9)
        ->and($fit->start[0])->toEqualWithDelta(2.0, 1e-9)
        ->and($fit->start[1])->toEqualWithDelta($fit->facing === 0 ? 1.0 : 7.0, 1e-9);
});

test('a hall that is wide and not deep is faced the other way', function () {
    $form = Sample::form([['travel' => [10, 0], 'turn' => 0]]);
    expect(RoomFit::best(FloorTrack::of($form), new Room(8.0, 2.0))->facing)->toBeIn([90, 270]);
});

test('the room runs out at the first entry that ends outside', function () {
    $form = Sample::form([['travel' => [3, 0], 'turn' => 0], ['travel' => [3, 0], 'turn' => 0], ['travel' => [-6, 0], 'turn' => 0]]);
    $fit = RoomFit::best(FloorTrack::of($form), new Room(4.0, 4.0)); // 2.2 m to walk in, 3.6 m wanted
    expect($fit->fits())->toBeFalse()->and($fit->runsOutAt())->toBe(2)->and($fit->out)->toBe([2]);
});

test('more students take more room, in ranks', function () {
    $form = Sample::form([['travel' => [2, 0], 'turn' => 0]]);
    $track = FloorTrack::of($form);
    $ten = RoomFit::best($track, new Room(9.0, 5.0, 10));
    expect($ten->fits())->toBeTrue()->and([$ten->files, $ten->ranks])->toBe([5, 2]);
    expect(RoomFit::best($track, new Room(9.0, 5.0, 30))->fits())->toBeFalse();
});

test('a room that cannot be is refused', function (array $room) {
    new Room(...$room);
})->with([[[0.5, 5.0]], [[5.0, NAN]], [[5.0, 5.0, 0]], [[5.0, 5.0, 121]], [[5.0, 5.0, 4, 0.0]]])->throws(BadInput::class);

test('staying faced to the front leaves the turns out and names the joins that change', function () {
    $front = FrontFacing::of(Sample::form([['turn' => 90, 'travel' => [1, 0]], ['turn' => 0, 'travel' => [1, 0]], [], ['turn' => 360, 'travel' => [1, 0]]]));
    expect($front->joins)->toBe([1])->and(endOf($front->track()))->toBe([0.0, 3.0, 0.0]);
});

test('the class lies in the room from its left and its back wall, and is turned with its facing', function () {
    // Half a metre a step: one to the right and two forward, ending turned by 90.
    $track = FloorTrack::of(Sample::form([['travel' => [2, 1], 'turn' => 90]]));
    foreach ([[10.0, 3.2, 0], [3.2, 10.0, 90]] as [$width, $depth, $quarter]) {
        $room = new Room($width, $depth, step: 0.5);
        $fit = RoomFit::best($track, $room);
        [$start, $end] = $fit->spots($track, $room);
        expect([$start->x, $start->y])->toEqualWithDelta($fit->start, 1e-9)
            ->and($end->facing - $start->facing)->toBe(90.0)
            ->and(hypot($end->x - $start->x, $end->y - $start->y))->toEqualWithDelta(hypot(0.5, 1.0), 1e-9);
        [$across, $up] = [$end->x - $start->x, $end->y - $start->y];
        $radians = deg2rad($fit->facing);
        expect($across * cos($radians) - $up * sin($radians))->toEqualWithDelta(0.5, 1e-9)
            ->and($across * sin($radians) + $up * cos($radians))->toEqualWithDelta(1.0, 1e-9);
    }
});

test('students stand in clear squares, the front rank towards where they face', function () {
    $track = FloorTrack::of(Sample::form([['travel' => [1, 0], 'turn' => 0]]));
    $room = new Room(9.0, 9.0, 5);
    $fit = RoomFit::best($track, $room);
    $stands = $fit->stands($room);
    expect($stands)->toHaveCount(5)
        ->and($fit->block($room))->toEqualWithDelta($fit->facing % 180 === 0 ? [$fit->files * 1.8, $fit->ranks * 1.8] : [$fit->ranks * 1.8, $fit->files * 1.8], 1e-9);
    foreach ($stands as $n => $one) {
        foreach (array_slice($stands, $n + 1) as $other) {
            expect(max(abs($one->x - $other->x), abs($one->y - $other->y)))->toBeGreaterThanOrEqual(1.8 - 1e-9);
        }
        expect(abs($one->x - $fit->start[0]))->toBeLessThanOrEqual($fit->block($room)[0] / 2)
            ->and(abs($one->y - $fit->start[1]))->toBeLessThanOrEqual($fit->block($room)[1] / 2);
    }
    $radians = deg2rad($fit->facing);
    $ahead = static fn ($stand): float => $stand->x * sin($radians) + $stand->y * cos($radians);
    expect($ahead($stands[0]))->toBeGreaterThanOrEqual($ahead($stands[4]) - 1e-9);
});

test('where the room is large enough the whole class stays inside its walls throughout', function (float $width, float $depth, int $students) {
    mt_srand(31);
    $form = Sample::form(array_map(static fn (int $at): array => ['id' => "e$at", 'title' => "E$at", 'travel' => [mt_rand(-2, 2), mt_rand(-1, 1)], 'turn' => 45 * mt_rand(-4, 4)], range(1, 40)));
    $track = FloorTrack::of($form);
    $room = new Room($width, $depth, $students);
    $fit = RoomFit::best($track, $room);
    [$across, $deep] = $fit->block($room);
    foreach ($fit->spots($track, $room) as $at => $spot) {
        $isInside = $spot->x - $across / 2 >= -1e-6 && $spot->x + $across / 2 <= $width + 1e-6 && $spot->y - $deep / 2 >= -1e-6 && $spot->y + $deep / 2 <= $depth + 1e-6;
        expect(in_array($at, $fit->out, true))->toBe(! $isInside);
    }
    expect($fit->fits())->toBe($fit->out === [])->and($fit->ranks * $fit->files)->toBeGreaterThanOrEqual($students);
})->with([[30.0, 30.0, 12], [12.0, 9.0, 6], [6.0, 5.0, 4], [20.0, 4.0, 9]]);

test('the shorter way round is told, clockwise positive', function (float $degrees, float $way) {
    expect(Footing::shorterWay($degrees))->toBe($way);
})->with([[0.0, 0.0], [90.0, 90.0], [270.0, -90.0], [-270.0, 90.0], [180.0, 180.0], [-180.0, 180.0], [540.0, 180.0], [-725.0, -5.0]]);

test('how many would fit is the most of whom all find room, at the edges of every size', function () {
    mt_srand(20261127);
    for ($case = 0; $case < 60; $case++) {
        $track = FloorTrack::of(Sample::form(array_map(fn () => ['travel' => [mt_rand(-3, 3), mt_rand(-2, 2)], 'turn' => 90 * mt_rand(-1, 2)], range(1, mt_rand(1, 8)))));
        $room = fn (int $students) => new Room(3.0 + 0.6 * (crc32("w$case") % 16), 3.0 + 0.6 * (crc32("d$case") % 16), $students);
        $most = RoomFit::most($track, $room(40));
        for ($students = 1; $students <= 40; $students++) {
            expect(RoomFit::best($track, $room($students))->fits())->toBe($students <= $most, "$case with $students");
        }
    }
});
