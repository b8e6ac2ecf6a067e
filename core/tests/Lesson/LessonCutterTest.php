<?php

declare(strict_types=1);

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Phase;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Form\WeightRange;
use Gorvan\Core\Lesson\CapCannotBeKept;
use Gorvan\Core\Lesson\CutDifference;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Lesson\CutPrices;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\JoinRest;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Lesson\RecapFinder;
use Gorvan\Core\Lesson\RestModel;
use Gorvan\Core\Tests\Said;

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

test('a form is worth as many lessons as it would be cut into, whatever a hand has pinned', function () {
    $worth = fn (int $entries, float $demand, float $target, array $pins = []): int => (new LessonCutter)->cut(plainForm($entries, $pins, demands: array_fill(1, $entries, $demand)), $target)->worth();
    expect($worth(10, 0.8, 3.92))->toBe(3)
        ->and($worth(12, 0.9, 5.2))->toBe(3)
        ->and($worth(1, 0.0, 40.0))->toBe(1)
        // Every join cut: twelve lessons, and still three lessons' worth.
        ->and($worth(12, 0.9, 5.2, array_fill(1, 11, CutPin::Always)))->toBe(3);
    $cut = (new LessonCutter)->cut(plainForm(12), lessons: 5);
    expect(LessonCut::made(0.0, 0.5, $cut->loads, $cut->joins, $cut->lessons, $cut->passage)->worth())->toBe(5);
});

test('a cut is told against the best one as a share, and only where both are weighed alike', function () {
    $cut = new LessonCutter;
    $free = $cut->cut(plainForm(12), lessons: 4);
    $pinned = $cut->cut(plainForm(12, [2 => CutPin::Always]), lessons: 4);
    expect($free->dearerThan($free))->toBe(0.0)
        ->and($pinned->dearerThan($free))->toEqualWithDelta(($pinned->objective - $free->objective) / $free->objective, 1e-12)->toBeGreaterThan(0.0)
        ->and($cut->cut(plainForm(12), lessons: 5)->dearerThan($free))->toBeNull()
        ->and($cut->weighing(0.1)->cut(plainForm(12), lessons: 4)->dearerThan($free))->toBeNull();
    // What costs something is not as good as what costs nothing, and by how much is no share of it.
    $costing = static fn (float $objective): LessonCut => new LessonCut($free->target, $free->lambda, $objective, $free->loads, $free->joins, $free->lessons, $free->passage);
    expect($costing(0.0)->dearerThan($costing(0.0)))->toBe(0.0)->and($costing(0.3)->dearerThan($costing(0.0)))->toBeNull();
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
    try {
        $cut();
    } catch (CutImpossible $e) {
        expect(Said::of($e->reason))->toContain($says);

        return;
    }
    $this->fail('It was cut.');
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

test('the lessons tile the form at every size, however small', function (float $target) {
    mt_srand((int) (1000 * $target));
    for ($round = 0; $round < 30; $round++) {
        $count = mt_rand(1, 40);
        $entries = array_map(fn (int $at) => new Entry("e$at", mt_rand(0, 9) === 0 ? EntryKind::Extra : EntryKind::Movement, "E$at", turn: 45.0 * mt_rand(-4, 4), steps: mt_rand(0, 4), oneLeg: mt_rand(0, 4) === 0, rest: mt_rand(0, 10) / 10), range(1, $count));
        $cut = (new LessonCutter)->cut(new Form('T', $entries), $target);
        $covered = array_merge(...array_map(fn ($lesson) => range($lesson->from, $lesson->to), $cut->lessons));
        $objective = 0.0;
        foreach ($cut->lessons as $lesson) {
            $objective += (($lesson->load - $target) / $target) ** 2 + ($lesson->to < $count ? $cut->lambda * (1 - $cut->joins[$lesson->to - 1]->rest) : 0.0);
        }
        expect($covered)->toBe(range(1, $count))->and($objective)->toEqualWithDelta($cut->objective, 1e-9 * max(1.0, $cut->objective));
    }
})->with([0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1.0, 4.0]);

test('where bars hold more together than any lesson may carry, the error says that and no range', function () {
    $form = plainForm(5, [1 => CutPin::Always, 2 => CutPin::Never, 3 => CutPin::Never, 4 => CutPin::Never], [1 => 0.25, 2 => 5.0, 3 => 5.0, 4 => 5.0, 5 => 5.0]);
    (new LessonCutter)->cut($form, lessons: 2);
})->throws(CapCannotBeKept::class);

test('a mirror lowers the rest only where the next entry mirrors this one', function () {
    $form = new Form('T', [
        new Entry('a', EntryKind::Movement, 'A'),
        new Entry('b', EntryKind::Movement, 'B'),
        new Entry('c', EntryKind::Movement, 'A', mirrors: 'a'),
        new Entry('d', EntryKind::Movement, 'A', mirrors: 'c'),
    ]);
    expect(array_map(fn (JoinRest $join) => $join->rest, (new RestModel)->of($form)))->toEqualWithDelta([0.2, 0.2, 0.0], 1e-12);
});

test('a facing that floats miss by a hair is square, and the weight is the last phase’s where none is stated', function () {
    $form = new Form('T', [
        new Entry('a', EntryKind::Movement, 'A', turn: 29.9999999),
        new Entry('b', EntryKind::Movement, 'B', turn: 30.0),
        new Entry('c', EntryKind::Movement, 'C', turn: 30.0000002, phases: [new Phase(weight: WeightRange::exactly(50)), new Phase(weight: WeightRange::exactly(95))]),
        new Entry('d', EntryKind::Movement, 'D'),
    ]);
    expect(array_map(fn (JoinRest $join) => $join->rest, (new RestModel)->of($form)))->toEqualWithDelta([0.2, 0.2, 0.5], 1e-12);
});

test('in a course only its target is cut, by its own pins, and what was never learned is new', function () {
    $entries = array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", returns: $at === 7 ? 'e2' : null, mirrors: $at === 8 ? 'e6' : null, cut: $at === 6 ? CutPin::Always : null), range(1, 10));
    $form = new Form('T', $entries);
    $cut = (new LessonCutter)->cut($form, 2.4, null, new CutScope(new Passage(5, 10), [], [6 => null, 5 => CutPin::Always]));
    $learned = (new LessonCutter)->cut($form, 2.4, null, new CutScope(new Passage(5, 10), [1, 2]));
    expect([$cut->lessons[0]->from, $cut->lessons[0]->to, $cut->lessons[count($cut->lessons) - 1]->to])->toBe([5, 5, 10])
        ->and($cut->loads[6]->newness)->toBe(1.0) // entry 7 returns to 2, which this group never learned
        ->and($cut->loads[7]->newness)->toBe(0.5) // entry 8 mirrors 6, which stands before it in the target
        ->and($learned->loads[6]->newness)->toBe(0.15)
        ->and($cut->totalLoad())->toEqualWithDelta(5 * 1.2 + 0.7, 1e-9);
});

test('a movement that came again within the target is known, wherever it stood first', function () {
    $entries = array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", returns: in_array($at, [5, 7], true) ? 'e1' : null), range(1, 8));
    $loads = (new LessonCutter)->cut(new Form('T', $entries), 4.0, null, new CutScope(new Passage(4, 8)))->loads;
    expect([$loads[4]->newness, $loads[6]->newness])->toBe([1.0, 0.15]);
});

test('what a new cut moved is said lesson by lesson', function () {
    $form = plainForm(6);
    $ids = fn (array ...$lessons) => array_map(fn (array $lesson) => array_map(fn (int $at) => "e$at", $lesson), $lessons);
    expect(Said::all(CutDifference::between($ids([1, 2], [3, 4], [5, 6]), $ids([1, 2], [3, 4, 5, 6]), $form)))
        ->toBe("there are 2 lessons, not 3\nlesson 2 was entries 3 to 4 and is 3 to 6")
        ->and(CutDifference::between($ids([1, 2]), $ids([1, 2]), $form))->toBe([]);
});

test('the recap is two entries that count, stretched to a good join or the form’s start within four', function () {
    $recap = function (int $lesson, array $good = [], array $extras = []): ?array {
        $form = new Form('T', array_map(fn (int $at) => new Entry("e$at", in_array($at, $extras, true) ? EntryKind::Extra : EntryKind::Movement, "E$at"), range(1, 20)));
        $passage = (new RecapFinder($form, array_map(fn (int $after) => new JoinRest($after, in_array($after, $good, true) ? 0.7 : 0.2, null), range(1, 19))))->before($lesson);

        return $passage === null ? null : [$passage->from, $passage->to];
    };
    expect($recap(10))->toBe([8, 9])
        ->and($recap(10, [6]))->toBe([7, 9])
        ->and($recap(10, [5]))->toBe([6, 9])
        ->and($recap(10, [4]))->toBe([8, 9])
        ->and($recap(4))->toBe([1, 3])
        ->and($recap(5))->toBe([1, 4])
        ->and($recap(6))->toBe([4, 5])
        ->and($recap(1))->toBeNull()
        ->and($recap(10, [], [9, 8]))->toBe([6, 9])
        ->and($recap(3, [], [1]))->toBe([2, 2]);
});

/** What each position costs, by hand: the form is cut anew with the notch pinned there. */
function pricedByHand(Form $form, LessonCut $cut, int $after): ?float
{
    $entries = $form->entries;
    if ($entries[$after - 1]->cut === CutPin::Never) {
        return null;
    }
    $entries[$after - 1] = $entries[$after - 1]->with(['cut' => CutPin::Always]);
    try {
        // The number held, and with it the size, as K lessons of the same whole have it.
        $moved = (new LessonCutter)->cut($form->with(['entries' => $entries]), null, count($cut->lessons));
    } catch (CutImpossible) {
        return null;
    }

    return $moved->objective - $cut->objective;
}

test('a notch costs what the best cut with it costs more, and nothing where the best has one', function () {
    $form = plainForm(14, [6 => CutPin::Never], [2 => 2.5, 9 => 3.0], [new Section('One', 1, 5), new Section('Two', 6, 14)]);
    $cut = (new LessonCutter)->cut($form, null, 4);
    $prices = (new LessonCutter)->prices($form, $cut);
    $seen = 0;
    foreach ($prices->prices as $one) {
        $byHand = pricedByHand($form, $cut, $one->after);
        expect($one->price === null)->toBe($byHand === null, "after $one->after");
        if ($byHand !== null) {
            expect($one->price)->toEqualWithDelta($byHand, 1e-9);
            $seen++;
        }
    }
    expect($seen)->toBeGreaterThan(8)->and($prices->after(6)?->price)->toBeNull();
    foreach (array_slice(ends($cut), 0, -1) as $after) {
        expect($prices->after($after)?->price)->toBe(0.0)->and($prices->after($after)?->free)->toBe($after);
    }
});

test('a pinned notch in the hand is let go: what it costs is told against the best without it', function () {
    $free = (new LessonCutter)->cut(plainForm(12), null, 3);
    $form = plainForm(12, [2 => CutPin::Always]);
    $cut = (new LessonCutter)->cut($form, null, 3);
    $held = (new LessonCutter)->prices($form, $cut);
    $moving = (new LessonCutter)->prices($form, $cut, null, 2);
    expect(ends($cut))->toContain(2)->and(ends($free))->not->toContain(2)
        ->and($held->after(2)?->price)->toBe(0.0)
        ->and($moving->best)->toEqualWithDelta($free->objective, 1e-12)
        ->and($moving->after(2)?->price)->toBeGreaterThan(0.01)->toEqualWithDelta($cut->objective - $free->objective, 1e-9);
});

test('beside a dear place stands the nearest that costs nothing, the earlier of two as near', function () {
    $prices = CutPrices::of(1.0, [1 => 1.5, 2 => 1.0, 3 => INF, 4 => 1.0 + 1e-12, 5 => 2.0]);
    expect(array_map(fn ($one) => [$one->after, $one->price, $one->free], $prices->prices))
        ->toBe([[1, 0.5, 2], [2, 0.0, 2], [3, null, 2], [4, 0.0, 4], [5, 1.0, 4]]);
});

test('one lesson has no notch, and a passage is priced inside itself alone', function () {
    $form = plainForm(9);
    $one = (new LessonCutter)->cut($form, null, 1);
    $part = new CutScope(new Passage(3, 8));
    expect(array_filter(array_column((new LessonCutter)->prices($form, $one)->prices, 'price')))->toBe([])
        ->and(array_column((new LessonCutter)->prices($form, (new LessonCutter)->cut($form, 2.5, null, $part), $part)->prices, 'after'))->toBe([3, 4, 5, 6, 7]);
});

test('a size is a count, a load, or minutes over the minutes of a unit', function () {
    expect((new LessonSize(minutes: 15.0))->target())->toBe(2.5) // 6 minutes a unit, as piece by piece
        ->and((new LessonSize(minutes: 20.0))->target(5.0))->toBe(4.0)
        ->and((new LessonSize(minutes: 20.0, minutesPerLoad: 10.0))->target(5.0))->toBe(2.0)
        ->and((new LessonSize(load: 3.0, minutes: 20.0))->target())->toBe(3.0)
        ->and((new LessonSize(count: 4, minutes: 20.0))->target())->toBeNull()
        ->and((new LessonSize)->target())->toBeNull();
    $says = fn (callable $made): string => (function () use ($made) {
        try {
            $made();
        } catch (CutImpossible $e) {
            return Said::of($e->reason);
        }

        return 'nothing';
    })();
    expect($says(fn () => new LessonSize(minutes: 0.5)))->toBe('The minutes of new work in a lesson must be between 1 and 180, not 0.5.')
        ->and($says(fn () => new LessonSize(lambda: NAN)))->toContain('The weight of good places to stop must be between 0 and 10')
        ->and($says(fn () => new LessonSize(minutes: 1.0, minutesPerLoad: 60.0, lambda: 10.0)))->toBe('nothing');
});

test('a lambda of nothing leaves only the loads to count, and a great one only the places', function () {
    $form = plainForm(12, [], [], [new Section('One', 1, 5), new Section('Two', 6, 12)]);
    $even = (new LessonCutter)->weighing(0.0)->cut($form, null, 2);
    $placed = (new LessonCutter)->weighing(10.0)->cut($form, null, 2);
    expect(ends($even))->toBe([6, 12])->and(ends($placed))->toBe([5, 12])->and($even->lambda)->toBe(0.0)
        ->and($placed->poorStops())->toBe(0)->and($even->poorStops())->toBe(1)
        ->and($even->range())->toEqualWithDelta([7.0, 7.2], 0.21);
});

test('a cut that is kept costs by its own lessons what the cutter says', function () {
    $form = plainForm(11, [], [3 => 2.0]);
    $cut = (new LessonCutter)->cut($form, null, 3);
    $kept = (new LessonCutter)->kept($form, CutScope::whole($form), array_map(fn ($lesson) => $form->idsOf(new Passage($lesson->from, $lesson->to)), $cut->lessons));
    expect($kept->objective)->toEqualWithDelta($cut->objective, 1e-9);
});
