<?php

declare(strict_types=1);

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Standing\ForecastTest;
use Gorvan\Core\Standing\Reliability;

test('tests are put together by tenths, and each score is what its formula says', function () {
    $model = new MemoryModel;
    // At t = S recall is 0.9 by definition, at t = 0 it is 1.
    $read = Reliability::of([new ForecastTest(1.0, [1.0]), new ForecastTest(0.5, [1.0]), new ForecastTest(1.0, [0.0])], model: $model);
    expect($read->tests)->toBe(3)->and(count($read->tenths))->toBe(1)
        ->and($read->tenths[0]->tenth)->toBe(9)->and($read->tenths[0]->tests)->toBe(3)
        ->and($read->tenths[0]->predicted)->toEqualWithDelta(2.8 / 3, 1e-12)->and($read->tenths[0]->observed)->toEqualWithDelta(2.5 / 3, 1e-12)
        ->and($read->brier)->toEqualWithDelta((0.01 + 0.16 + 0.0) / 3, 1e-12)
        ->and($read->logLoss)->toEqualWithDelta((-log(0.9) - 0.5 * log(0.9) - 0.5 * log(0.1) - log(1 - 1e-9)) / 3, 1e-9);
});

test('a tap on several entries is one test: the mean of their forecasts', function () {
    $model = new MemoryModel;
    expect((new ForecastTest(1.0, [0.0, 1.0]))->predicted($model))->toEqualWithDelta(0.95, 1e-12);
});

test('no score is made of nothing, and no factor of fewer than 200 tests', function () {
    expect(Reliability::of([])->logLoss)->toBeNull()->and(Reliability::of([])->tenths)->toBe([])
        ->and(Reliability::factor(array_fill(0, 199, new ForecastTest(1.0, [1.0]))))->toBeNull();
});

test('a class that remembers all gets the greatest factor there is, one that forgets all the least', function () {
    expect(Reliability::factor(array_fill(0, 200, new ForecastTest(1.0, [2.0]))))->toEqualWithDelta(4.0, 1e-9)
        ->and(Reliability::factor(array_fill(0, 200, new ForecastTest(0.0, [2.0]))))->toEqualWithDelta(0.25, 1e-9);
});

test('a factor is never part of a replay: it stretches the time a forecast reads, and 1 changes nothing', function () {
    $model = new MemoryModel;
    foreach ([0, 1, 7, 400] as $days) {
        expect($model->recallAt($days / 3.5))->toEqualWithDelta($model->recall($days, 3.5), 1e-15)
            ->and((new ForecastTest(1.0, [$days / 3.5]))->predicted($model, 2.0))->toEqualWithDelta($model->recall($days, 7.0), 1e-15);
    }
});

test('what was said and what was seen on the whole are means over every test, and follow the factor', function () {
    $tests = [new ForecastTest(1.0, [1.0]), new ForecastTest(0.5, [1.0]), new ForecastTest(0.0, [0.0])];
    $read = Reliability::of($tests);
    expect($read->predicted)->toEqualWithDelta(2.8 / 3, 1e-12)->and($read->observed)->toEqualWithDelta(0.5, 1e-12);
    $longer = Reliability::of($tests, 4.0);
    expect($longer->observed)->toBe($read->observed)->and($longer->predicted)->toBeGreaterThan($read->predicted)
        ->and(Reliability::of([])->predicted)->toBeNull();
});
