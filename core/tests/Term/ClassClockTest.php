<?php

declare(strict_types=1);

use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\ClassClock;
use Gorvan\Core\Term\MeetingBoxes;

/** @param  list<array{0: string, 1: mixed, 2?: int}>  $steps */
function steppedClock(array $minutes, array $steps): ClassClock
{
    $clock = ClassClock::of($minutes);
    foreach ($steps as $step) {
        $clock = $step[0] === 'late' ? $clock->startedLate($step[1]) : $clock->stretched(Box::from($step[1]), $step[2]);
    }

    return $clock;
}

/** The cases both clocks are held to, the one here and the one in the page. */
function clockCases(): array
{
    return json_decode((string) file_get_contents(__DIR__.'/clock.json'), true, flags: JSON_THROW_ON_ERROR);
}

test('the clock does what the shared cases say', function () {
    foreach (clockCases() as $case) {
        $clock = steppedClock($case['minutes'], $case['steps']);
        $costs = array_map(fn (array $cost) => [$cost['box']->value, $cost['from'], $cost['to']], $clock->costs(ClassClock::of($case['minutes'])));
        expect([$case['says'], $clock->seconds, $clock->over, $costs])->toBe([$case['says'], $case['seconds'], $case['over'], $case['costs']]);
    }
});

test('however the clock is stretched, the boxes sum to the meeting, and none is less than nothing', function () {
    mt_srand(5);
    for ($round = 0; $round < 500; $round++) {
        $total = mt_rand(1, 120);
        $clock = ClassClock::of(MeetingBoxes::unplanned($total)->all());
        $late = mt_rand(0, 1) * mt_rand(0, 4000);
        $clock = $clock->startedLate($late);
        $end = 60 * $total - $late;
        $boxes = array_map(Box::from(...), array_keys(MeetingBoxes::unplanned($total)->all()));
        for ($step = 0; $step < 8; $step++) {
            $clock = $clock->stretched($boxes[mt_rand(0, 6)], mt_rand(-900, 900));
            expect(array_sum($clock->seconds) - $clock->over)->toBe($end)->and(min($clock->seconds))->toBeGreaterThanOrEqual(0)->and($clock->over)->toBeGreaterThanOrEqual(0);
        }
    }
});

test('settling and closing give only when nothing else can (common practice: they are part of the practice)', function () {
    $clock = ClassClock::of(['settle' => 3, 'warm_up' => 10, 'focus' => 5, 'review' => 10, 'new' => 20, 'run_through' => 8, 'close' => 4]);
    for ($more = 60; $more <= 43 * 60; $more += 60) {
        $later = $clock->stretched(Box::WarmUp, $more);
        $rest = array_sum(array_intersect_key($later->seconds, array_flip(['focus', 'review', 'new', 'run_through'])));
        expect($rest > 0 && $later->seconds['close'] < 240)->toBeFalse();
    }
    expect(array_filter(Box::cases(), ClassClock::givesLast(...)))->toBe([0 => Box::Settle, 1 => Box::WarmUp, 7 => Box::Close]);
});
