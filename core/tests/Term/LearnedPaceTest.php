<?php

declare(strict_types=1);

use Gorvan\Core\Term\LearnedPace;

$lesson = fn (float $minutes, float $load = 2.0) => ['minutes' => $minutes, 'load' => $load];

test('a group that takes longer moves its minutes, the usual counting as two lessons', function () use ($lesson) {
    expect(LearnedPace::of(8.0, [])->minutes)->toBe(8.0)
        ->and(LearnedPace::of(8.0, [$lesson(24)])->minutes)->toEqualWithDelta((12 + 16) / 3, 1e-12)
        ->and(LearnedPace::of(8.0, array_fill(0, 6, $lesson(24)))->minutes)->toEqualWithDelta((6 * 12 + 16) / 8, 1e-12)
        ->and(LearnedPace::of(8.0, [$lesson(200), ...array_fill(0, 6, $lesson(24))])->lessons)->toBe(6); // only the last six
});

test('what says nothing of the pace is left out, and a slip of the pen is bounded', function () use ($lesson) {
    expect(LearnedPace::of(5.0, [$lesson(0), $lesson(10, 0.0)]))->toEqual(LearnedPace::of(5.0, []))
        ->and(LearnedPace::of(5.0, [$lesson(1440)])->minutes)->toEqualWithDelta((60 + 10) / 3, 1e-12);
});
