<?php

declare(strict_types=1);

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\Record;
use Gorvan\Core\Record\Subject;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\StudentLine;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Tests\Sample;

test('each point of the line is the replay up to its day, and counts the marks since the one before', function () {
    mt_srand(20261130);
    $form = Sample::form([[], ['side' => 'both'], [], ['kind' => 'connector'], []]);
    $at = fn (int $day) => new DateTimeImmutable(date('Y-m-d', 86400 * $day).'T12:00:00Z');
    $facts = [];
    for ($n = 0; $n < 120; $n++) {
        $day = 1000 + mt_rand(0, 80);
        $subject = Subject::entry(['a', 'b', 'c', 'd', 'e'][mt_rand(0, 4)]);
        $facts[] = mt_rand(0, 1) === 0
            ? Fact::mark("m$n", $subject, $day, $at($day), Support::from(mt_rand(0, 5)))
            : Fact::contact("c$n", FactKind::Practice, $subject, $day, $at($day));
    }
    $days = [990, 1007, 1014, 1014 + 30, 1100];
    $line = StudentLine::over($form, $facts, fn (string $key) => $key, $days);
    foreach ($days as $n => $day) {
        $tracks = (new Replay)->until(new Record($facts), $day, fn (string $key) => $key === 'b');
        $standing = StudentStanding::of($form, $tracks, $day, new MemoryModel);
        $expected = array_sum(array_map(fn (int $position) => $standing->at($position)->whole->recall ?? 0.0, [1, 2, 3, 5]));
        expect([$line[$n]->day, $line[$n]->holding])->toBe([$day, count($standing->holding())])->and($line[$n]->expected)->toEqualWithDelta($expected, 1e-12);
    }
    expect($line[0]->marks)->toBe(0)->and(array_sum(array_map(fn (StudentLine $one) => $one->marks, $line)))->toBe(count(array_filter($facts, fn (Fact $fact) => $fact->kind === FactKind::Mark)));
});

test('the days until recall falls under a value are those after which it is under it', function () {
    $model = new MemoryModel;
    foreach ([0.3, 1.0, 4.7, 33.0, 400.0] as $stability) {
        foreach ([0.5, 0.6, 0.8, 0.9] as $recall) {
            $days = $model->daysUntil($recall, $stability);
            expect($model->recall($days, $stability))->toBeLessThan($recall)->and($model->recall($days - 1, $stability))->toBeGreaterThanOrEqual($recall - 1e-12);
        }
    }
});
