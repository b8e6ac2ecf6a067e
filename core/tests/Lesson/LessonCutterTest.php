<?php

declare(strict_types=1);

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Form\WeightRange;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Lesson\JoinRest;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\RecapFinder;
use Gorvan\Core\Lesson\RestModel;

/** A form of plain entries; pins by position before the join. */
function plainForm(int $count, array $pins = [], array $demands = [], array $sections = []): Form
{
    $entries = array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", demand: $demands[$at] ?? null, cut: $pins[$at] ?? null), range(1, $count));

    return new Form('T', $entries, $sections);
}

function ends(LessonCut $cut): array
{
    return array_map(fn ($lesson) => $lesson->to, $cut->lessons);
}

test('24 entries of load 1.2 with T = 2.5 give 12 lessons of two (worked example of the design)', function () {
    $form = plainForm(24, demands: [1 => 1.2]);
    expect(ends((new LessonCutter)->cut($form, 2.5)))->toBe(range(2, 24, 2));
});

test('the number of lessons is total over target, halves up', function () {
    expect((new LessonCutter)->cut(plainForm(10, demands: array_fill(1, 10, 0.8)), 3.92)->lessons)->toHaveCount(3) // 9.8 / 3.92 = 2.5
        ->and((new LessonCutter)->cut(plainForm(12, demands: array_fill(1, 12, 0.9)), 5.2)->lessons)->toHaveCount(3); // 13 / 5.2 = 2.5, 2.4999… as floats add
});

test('pins are cut and bars are not', function () {
    $free = ends((new LessonCutter)->cut(plainForm(12), 4.0));
    $pinned = ends((new LessonCutter)->cut(plainForm(12, [5 => CutPin::Always]), 4.0));
    $barred = ends((new LessonCutter)->cut(plainForm(12, array_fill_keys(array_slice($free, 0, -1), CutPin::Never)), 4.0));
    expect($pinned)->toContain(5)->and($free)->not->toContain(5)
        ->and(array_intersect(array_slice($free, 0, -1), array_slice($barred, 0, -1)))->toBe([]);
});

test('no lesson weighs more than 1.5 T unless it is one entry', function () {
    $cut = (new LessonCutter)->cut(plainForm(20, demands: [4 => 5.0, 5 => 5.0, 11 => 3.0]), 2.0);
    foreach ($cut->lessons as $lesson) {
        expect($lesson->load <= 3.0 + 1e-9 || $lesson->from === $lesson->to)->toBeTrue();
    }
    expect(ends($cut))->toContain(3, 4, 5);
});

test('a section end is a better place to stop than a join inside it', function () {
    $form = plainForm(9, sections: [new Section('A', 1, 4), new Section('B', 5, 9)]);
    expect(ends((new LessonCutter)->cut($form, lessons: 2)))->toBe([4, 9]);
});

test('equal objectives go to the earliest first cut', function () {
    $form = plainForm(3, demands: [1 => 1.0, 2 => 0.8, 3 => 0.8]); // all loads 1
    expect(ends((new LessonCutter)->cut($form, lessons: 2)))->toBe([1, 3]);
});

test('one entry gives one lesson, and one lesson can be asked for', function () {
    expect(ends((new LessonCutter)->cut(plainForm(1))))->toBe([1])
        ->and(ends((new LessonCutter)->cut(plainForm(5), lessons: 1)))->toBe([5]);
});

test('a form of extras only has no load and is one lesson', function () {
    $form = new Form('T', [new Entry('a', EntryKind::Extra, 'A'), new Entry('b', EntryKind::Extra, 'B')]);
    expect((new LessonCutter)->cut($form)->lessons)->toHaveCount(1)
        ->and((new LessonCutter)->cut($form, lessons: 1)->totalLoad())->toBe(0.0);
});

test('what cannot be cut says what would work', function (callable $cut, string $says) {
    expect($cut)->toThrow(CutImpossible::class, $says);
})->with([
    'fewer than the pins' => [fn () => (new LessonCutter)->cut(plainForm(6, [1 => CutPin::Always, 2 => CutPin::Always]), lessons: 2), 'feasible: 4, 6'],
    'more than the bars leave' => [fn () => (new LessonCutter)->cut(plainForm(4, [1 => CutPin::Never, 3 => CutPin::Never]), lessons: 3), 'feasible: 1 to 2'],
    'bars over the cap' => [fn () => (new LessonCutter)->cut(plainForm(4, array_fill(1, 3, CutPin::Never)), 2.0), 'entries 1 to 4'],
    'too many' => [fn () => (new LessonCutter)->cut(plainForm(4), lessons: 5), '1 to 4'],
    'none' => [fn () => (new LessonCutter)->cut(plainForm(4), lessons: 0), '1 to 4'],
    'both' => [fn () => (new LessonCutter)->cut(plainForm(4), 2.0, 2), 'not both'],
    'no load' => [fn () => (new LessonCutter)->cut(plainForm(4), 0.0), 'more than 0'],
    'not a number' => [fn () => (new LessonCutter)->cut(plainForm(4), NAN), 'more than 0'],
]);

test('rest adds up section end, settled weight, square facing and sides kept together', function () {
    $form = new Form('T', [
        new Entry('a', EntryKind::Movement, 'A', weightEnd: WeightRange::exactly(50), turn: 90.0),
        new Entry('b', EntryKind::Movement, 'B', weightEnd: WeightRange::between(85, 95), turn: 30.0),
        new Entry('c', EntryKind::Movement, 'C', weightEnd: WeightRange::between(90, 100)),
        new Entry('d', EntryKind::Movement, 'C', turn: 0.0, mirrors: 'c'),
        new Entry('e', EntryKind::Movement, 'E', rest: 0.9),
        new Entry('f', EntryKind::Movement, 'F'),
    ], [new Section('S', 1, 1)]);
    $rests = array_map(fn (JoinRest $join) => $join->rest, (new RestModel)->of($form));
    // a: 0.5 + 0.2 + 0.1 + 0.2; b: 120 degrees is not square, 85..95 not settled; c: settled, sides parted; d: facing unknown
    expect($rests)->toEqualWithDelta([1.0, 0.2, 0.2, 0.2, 0.9], 1e-12);
});

test('the recap is two entries, stretched to a good join within four', function () {
    $joins = fn (array $good) => array_map(fn (int $after) => new JoinRest($after, in_array($after, $good, true) ? 0.7 : 0.2, null), range(1, 20));
    expect((new RecapFinder($joins([])))->startFor(10))->toBe(8)
        ->and((new RecapFinder($joins([6])))->startFor(10))->toBe(7)
        ->and((new RecapFinder($joins([5])))->startFor(10))->toBe(6)
        ->and((new RecapFinder($joins([4])))->startFor(10))->toBe(8)
        ->and((new RecapFinder($joins([])))->startFor(4))->toBe(1)
        ->and((new RecapFinder($joins([])))->startFor(1))->toBeNull();
});
