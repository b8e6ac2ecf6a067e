<?php

declare(strict_types=1);

use Gorvan\Core\Floor\FloorTrack;
use Gorvan\Core\Floor\FrontFacing;
use Gorvan\Core\Floor\Room;
use Gorvan\Core\Floor\RoomFit;
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
