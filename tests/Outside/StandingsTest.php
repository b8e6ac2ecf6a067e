<?php

declare(strict_types=1);

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Standing\ForecastTest;
use Gorvan\Core\Standing\Pods;
use Gorvan\Core\Standing\Reliability;
use Gorvan\Core\Standing\ReliabilityTenth;
use Tests\Outside\Reference;

/** @param  list<int>  $pod */
function spreadOf(array $pod): float
{
    $mean = array_sum($pod) / count($pod);

    return array_sum(array_map(fn (int $one) => ($one - $mean) ** 2, $pod));
}

/**
 * Every way to cut a row into pods of three at least.
 *
 * @param  list<int>  $row
 * @return Generator<list<list<int>>>
 */
function everySplit(array $row, int $pods): Generator
{
    if ($pods === 1) {
        yield [$row];

        return;
    }
    for ($first = 3; $first <= count($row) - 3 * ($pods - 1); $first++) {
        foreach (everySplit(array_slice($row, $first), $pods - 1) as $rest) {
            yield [array_slice($row, 0, $first), ...$rest];
        }
    }
}

test('the pods of 200 random groups are the best of every split there is, and of equal ones the earliest (source: brute force)', function () {
    mt_srand(20261128);
    $tied = 0;
    for ($case = 0; $case < 200; $case++) {
        $size = mt_rand(6, 22);
        $count = $size >= 9 && $case % 2 === 0 ? 3 : 2;
        // Some groups stand all in a few places, so that splits tie.
        $most = $case % 3 === 0 ? 2 : 108;
        $frontiers = [];
        for ($at = 0; $at < $size; $at++) {
            $frontiers["s$at"] = mt_rand(0, $most);
        }
        $row = array_values($frontiers);
        sort($row);
        [$best, $least] = [null, INF];
        $equal = 0;
        foreach (everySplit($row, $count) as $split) {
            $all = array_sum(array_map(spreadOf(...), $split));
            $equal = abs($all - $least) <= 1e-7 ? $equal + 1 : ($all < $least ? 0 : $equal);
            if ($all < $least - 1e-7) {
                [$best, $least] = [$split, $all];
            }
        }
        $tied += (int) ($equal > 0);
        $pods = Pods::split($frontiers, $count);
        $this->assertSame($best, array_map(fn (array $pod) => array_map(fn (string $one) => $frontiers[$one], $pod), $pods), json_encode($frontiers));
        $this->assertEqualsCanonicalizing(array_keys($frontiers), array_merge(...$pods));
    }
    expect($tied)->toBeGreaterThan(3);
});

test('log loss, Brier score, tenths and the best factor of 40 random records equal a second computation (source: textbook formulas in tests/Outside/reliability.mjs, the factor by a grid of 0.0005)', function () {
    mt_srand(20261129);
    $model = new MemoryModel;
    $cases = [];
    for ($case = 0; $case < 40; $case++) {
        $truth = [0.3, 0.6, 1.0, 1.7, 3.0][$case % 5];
        $tests = [];
        for ($at = mt_rand(200, 400); $at > 0; $at--) {
            $ages = array_map(fn () => mt_rand(1, 4000) / 400, range(1, mt_rand(1, 4)));
            $recall = array_sum(array_map(fn (float $age) => $model->recallAt($age / $truth), $ages)) / count($ages);
            $luck = mt_rand() / mt_getrandmax();
            $tests[] = ['observed' => abs($luck - $recall) < 0.06 ? 0.5 : ($luck < $recall ? 1.0 : 0.0), 'ages' => $ages];
        }
        $cases[] = $tests;
    }
    $reference = Reference::ask('reliability.mjs', $cases);
    foreach ($cases as $at => $case) {
        $tests = array_map(fn (array $one) => new ForecastTest($one['observed'], $one['ages']), $case);
        $read = Reliability::of($tests);
        $factor = Reliability::factor($tests);
        expect($read->logLoss)->toEqualWithDelta($reference[$at]['logLoss'], 1e-9)
            ->and($read->brier)->toEqualWithDelta($reference[$at]['brier'], 1e-12)
            ->and(array_map(fn (ReliabilityTenth $one) => [$one->tenth, $one->tests], $read->tenths))->toBe(array_map(fn (array $one) => [$one['tenth'], $one['tests']], $reference[$at]['tenths']))
            ->and($factor)->toEqualWithDelta($reference[$at]['factor'], 1.5e-3)
            // Nothing on the grid is better than what was found.
            ->and(Reliability::of($tests, $factor)->logLoss)->toBeLessThanOrEqual($reference[$at]['least'] + 1e-8);
        foreach ($read->tenths as $n => $tenth) {
            expect($tenth->observed)->toEqualWithDelta($reference[$at]['tenths'][$n]['observed'], 1e-12);
        }
    }
});
