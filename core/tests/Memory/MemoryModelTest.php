<?php

declare(strict_types=1);

use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Record\Support;

beforeEach(function () {
    $this->model = new MemoryModel;
    $this->after = fn (Support $support, MemoryState $state = new MemoryState(5.0, 6.0), int $days = 7): MemoryState => $this->model->later($state, $days, Evidence::ofMark($support));
});

test('recall is 1 at once, 0.9 after as many days as the stability, and only falls', function () {
    expect($this->model->recall(0, 3.0))->toBe(1.0)
        ->and($this->model->recall(30, 30.0))->toEqualWithDelta(0.9, 1e-12);
    $last = 1.0;
    foreach ([1, 2, 7, 30, 365, 36500] as $days) {
        $recall = $this->model->recall($days, 4.0);
        expect($recall)->toBeLessThan($last)->toBeGreaterThan(0.0);
        $last = $recall;
    }
});

test('the more was seen, the longer it stays', function () {
    $ladder = array_map(fn (Support $support) => ($this->after)($support)->stability, [Support::Following, Support::Cued, Support::Alone, Support::Flowing]);
    $sorted = $ladder;
    sort($sorted);
    expect($ladder)->toBe($sorted)->and(array_unique($ladder))->toHaveCount(4);
});

test('flowing and leading are the same evidence', function () {
    expect(($this->after)(Support::Flowing))->toEqual(($this->after)(Support::Leading));
});

test('unseen contact leaves difficulty as it was, a mark moves it', function () {
    $state = new MemoryState(5.0, 6.0);
    expect($this->model->later($state, 7, Evidence::practised())->difficulty)->toBe(6.0)
        ->and($this->model->later($state, 7, Evidence::taught())->difficulty)->toBe(6.0)
        ->and(($this->after)(Support::Following)->difficulty)->toBeGreaterThan(6.0)
        ->and(($this->after)(Support::Flowing)->difficulty)->toBeLessThan(6.0);
});

test('spaced practice strengthens more than crowded practice', function () {
    expect(($this->after)(Support::Alone, days: 14)->stability)->toBeGreaterThan(($this->after)(Support::Alone, days: 1)->stability);
});

test('unseen practice of what is well remembered counts nearly as seen', function () {
    $state = new MemoryState(400.0, 5.0);
    $unseen = $this->model->later($state, 7, Evidence::practised())->stability;
    $cued = $this->model->later($state, 7, Evidence::ofMark(Support::Cued))->stability;
    expect($unseen)->toBeGreaterThan($cued);
});

test('needing cues every week never becomes holding (common practice, and the design’s worked example)', function () {
    $state = $this->model->first(Evidence::ofMark(Support::Cued));
    for ($week = 0; $week < 52; $week++) {
        expect($this->model->recall(7, $state->stability))->toBeLessThan(0.8);
        $state = $this->model->later($state, 7, Evidence::ofMark(Support::Cued));
    }
});

test('first contact is read by its share: taught is met half, practice not at all', function () {
    $first = fn (Evidence $evidence) => $this->model->first($evidence);
    expect($first(Evidence::practised()))->toEqual($first(Evidence::ofMark(Support::Following)))
        ->and($first(Evidence::taught()))->toEqual($first(Evidence::ofMark(Support::Cued)))
        ->and($first(Evidence::ofMark(Support::Alone))->stability)->toBe(2.3065); // w2 of the published weights
});

test('Unmet says nothing about memory', function () {
    expect(Evidence::ofMark(Support::Unmet))->toBeNull();
});

test('levels are known by their names only', function () {
    expect(Support::named('Alone'))->toBe(Support::Alone)
        ->and(Support::named('alone'))->toBeNull()
        ->and(Support::named('3'))->toBeNull()
        ->and(Support::Cued->isAtLeast(Support::Alone))->toBeFalse()
        ->and(Support::Leading->isAtLeast(Support::Alone))->toBeTrue();
});

test('a school’s factor stretches what is read and touches no memory: 1 reads the very same bits', function () {
    [$plain, $longer, $shorter] = [new MemoryModel, new MemoryModel(2.0), new MemoryModel(0.25)];
    foreach ([0, 1, 7, 30, 4000] as $days) {
        expect($plain->read($days, 5.3))->toBe($plain->recall($days, 5.3))
            ->and($longer->read($days, 5.3))->toBe($plain->recall($days, 10.6))
            ->and($shorter->read($days, 5.3))->toBe($plain->recall($days, 5.3 * 0.25));
    }
    foreach ([Evidence::taught(), Evidence::practised(), Evidence::ofMark(Support::Cued), Evidence::ofMark(Support::Alone)] as $evidence) {
        expect($longer->first($evidence))->toEqual($plain->first($evidence))
            ->and($longer->later(new MemoryState(5.0, 6.0), 9, $evidence))->toEqual($plain->later(new MemoryState(5.0, 6.0), 9, $evidence));
    }
    // The last day on which it is read as 0.8 or more is the day before.
    foreach ([$plain, $longer, $shorter] as $model) {
        $days = $model->daysUntil(0.8, 5.3);
        expect($model->read($days, 5.3))->toBeLessThan(0.8)->and($model->read(max(0, $days - 1), 5.3))->toBeGreaterThanOrEqual(0.8);
    }
});
