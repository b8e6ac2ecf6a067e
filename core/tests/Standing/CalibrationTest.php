<?php

declare(strict_types=1);

use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Subject;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\Calibration;
use Gorvan\Core\Term\ExpectedStudent;

function seenOn(int $day, string $entry, Support $level, ?Side $side = null, string $at = '10:00:00'): Fact
{
    return Fact::mark("$day$entry$at".($side->value ?? ''), Subject::entry($entry), $day, new DateTimeImmutable(date('Y-m-d', 86400 * $day)."T{$at}Z"), $level, $side);
}

function taughtOn(int $day, string $entry): Fact
{
    return Fact::contact("t$day$entry", FactKind::Taught, Subject::entry($entry), $day, new DateTimeImmutable(date('Y-m-d', 86400 * $day).'T09:00:00Z'));
}

test('a mark tests what was predicted of its day, and a first contact tests nothing', function () {
    $model = new MemoryModel;
    $one = Calibration::of([taughtOn(100, 'a'), seenOn(107, 'a', Support::Cued)], fn () => false);
    expect($one->tests)->toBe(1)->and($one->observed)->toBe(0.5)
        ->and($one->predicted)->toEqualWithDelta($model->recall(7, $model->first(Evidence::taught())->stability), 1e-12)
        ->and(Calibration::of([seenOn(100, 'a', Support::Alone)], fn () => false)->tests)->toBe(0)
        ->and(Calibration::of([seenOn(100, 'a', Support::Unmet), seenOn(107, 'a', Support::Alone)], fn () => false)->tests)->toBe(0);
});

test('the marks of one tap are one test, those of two taps are two', function () {
    $facts = [taughtOn(100, 'a'), taughtOn(103, 'b')];
    $tap = Calibration::of([...$facts, seenOn(107, 'a', Support::Following), seenOn(107, 'b', Support::Following)], fn () => false);
    $two = Calibration::of([...$facts, seenOn(107, 'a', Support::Following), seenOn(107, 'b', Support::Alone)], fn () => false);
    expect([$tap->tests, $tap->observed, $two->tests, $two->observed])->toBe([1, 0.0, 2, 1.0])
        ->and($tap->predicted * 2)->toEqualWithDelta($two->predicted, 1e-12);
});

test('a side is tested by itself once one was named', function () {
    $both = Calibration::of([taughtOn(100, 'a'), seenOn(107, 'a', Support::Alone, Side::Left)], fn () => true);
    expect($both->tests)->toBe(1)->and($both->observed)->toBe(1.0);
});

test('a class whose marks fall short is trusted less, within bounds', function () {
    expect(ExpectedStudent::trustBy(0, 0))->toBe(1.0)->and(ExpectedStudent::trustBy(2, 10))->toEqualWithDelta(10 / 18, 1e-12)
        ->and(ExpectedStudent::trustBy(0, 100))->toBe(0.25)->and(ExpectedStudent::trustBy(100, 10))->toBe(1.25);
});

test('a mark of a principle tests no forecast of movements', function () {
    $principle = fn (int $day, Keeping $level) => Fact::mark("p$day", Subject::principle('p'), $day, new DateTimeImmutable(date('Y-m-d', 86400 * $day).'T10:00:00Z'), $level);
    expect(Calibration::of([$principle(100, Keeping::Slow), $principle(107, Keeping::Reminded), taughtOn(100, 'a'), seenOn(107, 'a', Support::Cued)], fn () => false)->tests)->toBe(1);
});
