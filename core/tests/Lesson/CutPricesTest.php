<?php

declare(strict_types=1);

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Lesson\CutPrices;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Tests\Said;

/** What each position costs, by hand: the form is cut anew with the notch pinned there. */
function pricedByHand(Gorvan\Core\Form\Form $form, LessonCut $cut, int $after): ?float
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
    expect((new LessonSize(minutes: 20.0))->target())->toBe(2.5)
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
