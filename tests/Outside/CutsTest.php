<?php

declare(strict_types=1);

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\WeightRange;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Tests\Outside\Reference;

function randomForm(int $number): Form
{
    $count = $number < 6 ? $number + 1 : mt_rand(7, 80);
    $entries = [];
    for ($at = 1; $at <= $count; $at++) {
        $entries[] = new Entry(
            id: "e$at",
            kind: [EntryKind::Movement, EntryKind::Movement, EntryKind::Movement, EntryKind::Connector, EntryKind::Extra][mt_rand(0, 4)],
            title: "E$at",
            side: [null, Side::Left, Side::Both][mt_rand(0, 2)],
            steps: mt_rand(0, 6),
            weightEnd: WeightRange::exactly((float) mt_rand(0, 100)),
            turn: mt_rand(0, 9) === 0 ? null : 45.0 * mt_rand(-4, 4),
            oneLeg: mt_rand(0, 5) === 0,
            returns: $at > 1 && mt_rand(0, 5) === 0 ? 'e'.mt_rand(1, $at - 1) : null,
            mirrors: $at > 1 && mt_rand(0, 3) === 0 ? 'e'.mt_rand(1, $at - 1) : null,
            demand: mt_rand(0, 11) === 0 ? mt_rand(25, 500) / 100 : null,
            cut: $number % 3 === 0 ? null : [0 => CutPin::Always, 1 => CutPin::Never][mt_rand(0, 14)] ?? null,
        );
    }

    return new Form('T', $entries, [new Section('S', 1, (int) ceil($count / 3))]);
}

test('cuts of 90 random forms cost what HiGHS finds to be least (source: the HiGHS solver on npm)', function () {
    mt_srand(4711);
    $asked = $cuts = $wanted = [];
    for ($number = 0; count($cuts) < 90; $number++) {
        $form = randomForm($number);
        [$target, $lessons] = $number % 2 === 0 ? [$number % 4 === 0 ? mt_rand(5, 150) / 100 : mt_rand(15, 80) / 10, null] : [null, mt_rand(1, max(1, intdiv($form->count(), 2)))];
        try {
            $cut = (new LessonCutter)->cut($form, $target, $lessons);
        } catch (CutImpossible) {
            continue;
        }
        $cuts[] = [$cut, $lessons];
        $asked[] = asked($cut, count($cut->lessons));
        $wanted[] = asked($cut, $lessons ?? max(1, (int) floor(round($cut->totalLoad() / $cut->target, 9) + 0.5)));
    }
    $best = Reference::ask('cuts.mjs', $asked);
    $first = Reference::ask('cuts.mjs', $wanted);
    $pinned = $given = $moved = $small = 0;
    foreach ($cuts as $at => [$cut, $lessons]) {
        expect($best[$at]['status'])->toBe('Optimal')
            ->and($best[$at]['objective'])->toEqualWithDelta($cut->objective, 1e-9 * max(1.0, $cut->objective))
            // The answer itself, not only its number: the lessons tile the form and cost what is said.
            ->and(array_merge(...array_map(fn ($lesson) => range($lesson->from, $lesson->to), $cut->lessons)))->toBe(range(1, count($cut->loads)))
            ->and(costOf($cut))->toEqualWithDelta($best[$at]['objective'], 1e-9 * max(1.0, $cut->objective));
        $small += (int) ($cut->target < 1.0);
        if ($asked[$at]['lessons'] !== $wanted[$at]['lessons']) {
            expect($first[$at]['status'])->toBe('Infeasible'); // moved away from the rounded number only where that cannot be
            $moved++;
        }
        $pinned += (int) (array_filter($asked[$at]['pins']) !== []);
        $given += (int) ($lessons !== null);
    }
    expect($pinned)->toBeGreaterThan(20)->and($given)->toBeGreaterThan(20)->and($moved)->toBeGreaterThan(0)->and($small)->toBeGreaterThan(5);
});

test('what is called infeasible is infeasible for HiGHS too (source: the HiGHS solver on npm)', function () {
    mt_srand(99);
    $refused = [];
    for ($number = 1; count($refused) < 15; $number += 3) {
        $form = randomForm($number);
        $lessons = mt_rand(1, $form->count());
        try {
            (new LessonCutter)->cut($form, null, $lessons);
        } catch (CutImpossible) {
            $free = (new LessonCutter)->cut(new Form('T', $form->entries, $form->sections), 1000.0); // only for its loads and joins
            $refused[] = [...asked($free, $lessons), 'target' => $free->totalLoad() / $lessons];
        }
    }
    foreach (Reference::ask('cuts.mjs', $refused) as $answer) {
        expect($answer['status'])->toBe('Infeasible');
    }
});

test('the price of a moved notch is what HiGHS pays more for a cut there, on 40 random forms (source: the HiGHS solver on npm)', function () {
    mt_srand(1146);
    $asked = $prices = [];
    $forms = 0;
    for ($number = 3; $forms < 40; $number++) {
        $form = randomForm($number);
        try {
            $cut = (new LessonCutter)->cut($form, $number % 2 === 0 ? mt_rand(10, 60) / 10 : null, $number % 2 === 0 ? null : mt_rand(2, max(2, intdiv($form->count(), 3))));
        } catch (CutImpossible) {
            continue;
        }
        $forms++;
        $pinned = array_values(array_filter(range(1, $form->count() - 1), fn (int $at) => $form->at($at)->cut === CutPin::Always));
        $moving = $number % 3 === 0 || $pinned === [] ? null : $pinned[mt_rand(0, count($pinned) - 1)];
        foreach (array_unique([1, $form->count() - 1, ...array_map(fn () => mt_rand(1, $form->count() - 1), range(1, 8)), ...($moving === null ? [] : [$moving])]) as $after) {
            $pins = array_map(fn ($join) => $join->after === $moving ? null : $join->pin?->value, $cut->joins);
            $prices[] = [(new LessonCutter)->prices($form, $cut, null, $moving)->after($after)?->price, $pins[$after - 1] === 'never'];
            $asked[] = [...asked($cut, count($cut->lessons)), 'pins' => $pins];
            $asked[] = [...asked($cut, count($cut->lessons)), 'pins' => array_replace($pins, [$after - 1 => 'always'])];
        }
    }
    $answers = Reference::ask('cuts.mjs', $asked);
    $dear = $free = $none = $barred = 0;
    foreach ($prices as $at => [$price, $isBarred]) {
        [$best, $there] = [$answers[2 * $at], $answers[2 * $at + 1]];
        expect($best['status'])->toBe('Optimal');
        if ($isBarred || $there['status'] !== 'Optimal') {
            expect($price)->toBeNull();
            $isBarred ? $barred++ : $none++;

            continue;
        }
        expect($price)->toEqualWithDelta($there['objective'] - $best['objective'], 1e-8 * max(1.0, $best['objective']));
        $price > 1e-6 ? $dear++ : $free++;
    }
    expect($dear)->toBeGreaterThan(60)->and($free)->toBeGreaterThan(10)->and($none + $barred)->toBeGreaterThan(5);
});

/** What the lessons cost, computed from themselves. */
function costOf(LessonCut $cut): float
{
    $cost = 0.0;
    foreach ($cut->lessons as $lesson) {
        $load = array_sum(array_map(fn ($one) => $one->load, array_slice($cut->loads, $lesson->from - 1, $lesson->to - $lesson->from + 1)));
        $cost += (($load - $cut->target) / $cut->target) ** 2 + ($lesson->to < count($cut->loads) ? $cut->lambda * (1 - $cut->joins[$lesson->to - 1]->rest) : 0.0);
    }

    return $cost;
}

/** @return array<string, mixed> */
function asked(LessonCut $cut, int $lessons): array
{
    return [
        'loads' => array_map(fn ($load) => $load->load, $cut->loads),
        'rests' => array_map(fn ($join) => $join->rest, $cut->joins),
        'pins' => array_map(fn ($join) => $join->pin?->value, $cut->joins),
        'target' => $cut->target,
        'lambda' => $cut->lambda,
        'lessons' => $lessons,
    ];
}
