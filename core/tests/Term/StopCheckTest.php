<?php

declare(strict_types=1);

use Gorvan\Core\Care\Strain;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\LessonKind;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\StopCheck;

function stopForm(): Form
{
    $entry = fn (string $id, array $with = []) => (new Entry($id, EntryKind::Movement, $id))->with($with);

    return new Form('Stops', [
        $entry('a'), $entry('b', ['oneLeg' => true]), $entry('c', ['strains' => [Strain::Fold]]), $entry('d'), $entry('e'),
        new Entry('x', EntryKind::Extra, 'x'), $entry('f', ['turn' => -180.0, 'breaths' => 1.0]), $entry('g'),
    ]);
}

test('nobody is stopped on one leg, in what strains, in an extra, or in what was only just shown', function () {
    $plan = new CoursePlan('c', new PlannedLesson(['g'], LessonKind::Fresh, 3), ['e'], [new PlannedReview(['b', 'a', 'x'], 3, 4.0)], ['c', 'd', 'e', 'f', 'g']);
    expect(StopCheck::points(stopForm(), $plan, ['a', 'b', 'c', 'd', 'f', 'g', 'x']))->toBe(['a', 'd']) // e was not taught; g is tonight's own
        ->and(StopCheck::points(stopForm(), $plan, []))->toBe([]);
});

test('a draw can be repeated, and comes to every point', function () {
    $points = ['a', 'd', 'e'];
    $drawn = array_map(fn (int $draw) => StopCheck::draw('meeting', $draw, $points)?->entry, range(1, 300));
    expect($drawn)->toBe(array_map(fn (int $draw) => StopCheck::draw('meeting', $draw, $points)?->entry, range(1, 300)))
        ->and(min(array_count_values($drawn)))->toBeGreaterThan(60)
        // 52 bits of SHA-256 of `meeting|1`, worked out with sha256sum and bc
        ->and(StopCheck::draw('meeting', 1, $points)?->entry)->toBe($points[(int) floor(hexdec(substr(hash('sha256', 'meeting|1'), 0, 13)) / 2 ** 52 * 3)])
        ->and(StopCheck::draw('meeting', 1, []))->toBeNull();
});

test('where tonight has a focus, that is what a class is stopped for', function () {
    $drawn = array_map(fn (int $draw) => StopCheck::draw('meeting', $draw, ['a'], ['p1', 'p2']), range(1, 60));
    expect(array_unique(array_map(fn (StopCheck $one) => $one->principle, $drawn)))->toEqualCanonicalizing(['p1', 'p2'])
        ->and(array_filter($drawn, fn (StopCheck $one) => $one->focus !== null))->toBe([]);
});
