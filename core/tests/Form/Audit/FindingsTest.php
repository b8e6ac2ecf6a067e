<?php

declare(strict_types=1);

use Gorvan\Core\Form\Audit\BreathRule;
use Gorvan\Core\Form\Audit\CareRule;
use Gorvan\Core\Form\Audit\CountRule;
use Gorvan\Core\Form\Audit\FindingRule;
use Gorvan\Core\Form\Audit\FormAudit;
use Gorvan\Core\Form\Audit\NthRule;
use Gorvan\Core\Form\Audit\NumberRule;
use Gorvan\Core\Form\Audit\ReferenceRule;
use Gorvan\Core\Form\Audit\SidesRule;
use Gorvan\Core\Form\Audit\SilentRule;
use Gorvan\Core\Form\Audit\TravelRule;
use Gorvan\Core\Form\Audit\TurnRule;
use Gorvan\Core\Form\Audit\TwinRule;
use Gorvan\Core\Form\Audit\WeightRule;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

/** @return array<string, mixed> */
function numbers(?int ...$numbers): array
{
    return array_map(static fn (?int $number, int $at): array => ['number' => $number, ...$at < 26 ? [] : ['id' => "m$at", 'title' => "Movement $at"]], $numbers, array_keys($numbers));
}

/** @return array<string, mixed> */
function breathed(?string ...$breaths): array
{
    return ['phases' => array_map(static fn (?string $breath): array => ['title' => 'P', 'breath' => $breath], $breaths)];
}

test('a fault is found where it is, and what is offered puts it right', function (FindingRule $rule, array $entries, array $root, ?int $position, string $says, ?string $mend) {
    $form = Sample::form($entries, $root);
    $findings = FormAudit::of($form, [$rule])->open;
    expect($findings)->toHaveCount(1)
        ->and($findings[0]->position)->toBe($position)
        ->and(Said::of($findings[0]->says))->toContain($says)
        ->and($findings[0]->mend === null ? null : Said::of($findings[0]->mend->says))->toBe($mend);
    if ($findings[0]->mend !== null) {
        expect(FormAudit::of(Sample::edited($form, $findings[0]->mend->edits), [$rule])->open)->toBe([]);
    }
})->with([
    'count: announced' => [new CountRule, numbers(1, 2), ['announced' => 3], null, 'announces 3 movements and lists 2', 'announce 2'],
    'count: missing' => [new CountRule, numbers(1, 3), [], 2, 'number 2 is missing', null],
    'count: one slip of the pen among many' => [new CountRule, numbers(...range(1, 3), ...[44], ...range(5, 64)), [], 4, 'has the number 44, which movement', 'number it 4'],
    'count: a slip beyond all of them' => [new CountRule, numbers(1, 2, 30, 4), [], 3, 'is number 30 and comes before number 4', 'number it 3'],
    'count: many without' => [new CountRule, numbers(1, ...array_fill(0, 51, null), ...[53]), [], 2, '51 movements have no number among numbered ones: entries 2 to 52', 'number all of them from 1'],
    'count: without at the start' => [new CountRule, numbers(null, null, 3), [], 1, '2 movements have no number', 'number all of them from 1'],
    'count: a section numbered anew' => [new CountRule, numbers(1, 2, 3, 4, 1, 2, 3), [], 5, 'Entries 5 to 7 are numbered 1 to 3, beside the numbers around them', 'number all of them from 1'],
    'count: missing at the start' => [new CountRule, numbers(4, 5), [], 1, 'numbers 1 to 3 are missing', null],
    'count: repeated' => [new CountRule, numbers(1, 2, 2, 4), [], 3, 'has the number 2, which movement B has', 'number it 3'],
    'count: out of order' => [new CountRule, numbers(1, 3, 2), [], 2, 'is number 3 and comes before number 2', null],
    'count: out of order, too late' => [new CountRule, numbers(1, 3, 4, 2, 5), [], 4, 'is number 2 and comes after number 4', null],
    'count: none' => [new CountRule, numbers(1, null, 3), [], 2, 'has no number', 'number it 2'],
    'weight' => [new WeightRule, [['weight_end' => 0], ['first_step' => 'right']], [], 2, 'steps with the right foot first, which still carries 100 %', 'step with the left foot first'],
    'weight: both feet' => [new WeightRule, [['weight_end' => [40, 60]], ['first_step' => 'left']], [], 2, 'carries at least 40 %', 'empty the left foot first'],
    'weight: of the last phase' => [new WeightRule, [['phases' => [['weight' => 100], ['weight' => 70]]], ['first_step' => 'left']], [], 2, '70 %', 'empty the left foot first'],
    'turn' => [new TurnRule, [['turn' => -90], ['turn' => 180]], [], null, 'add up to 90°: the closing faces 90° to the right', 'turn −90 at the end would close the circle'],
    'turn: where few are said, nobody knows which is wrong' => [new TurnRule, [['turn' => 90], [], []], [], null, '2 entries do not say a turn', null],
    'turn: where most are said' => [new TurnRule, [['turn' => 90], ['turn' => 0], []], [], null, 'One entry does not say a turn', 'turn −90 at the end would close the circle'],
    'turn: seen from how the opening stood, whatever was done before and after' => [new TurnRule, [['kind' => 'extra', 'turn' => 180], ['turn' => 90], ['turn' => 0], ['kind' => 'extra', 'turn' => -90]], [], null, 'add up to 90°', 'turn −90 at the end would close the circle'],
    'turn: the long way' => [new TurnRule, [['turn' => 350]], [], null, 'faces 10° to the left', 'turn 10 at the end would close the circle'],
    'travel' => [new TravelRule, [['travel' => [3, 0], 'turn' => 90], ['travel' => [0, -1], 'turn' => 0]], [], null, 'ends 4 steps from the opening: 4 forward', null],
    'sides: many that are never done on one side have one cause' => [new SidesRule, array_fill(0, 20, ['side' => 'right']), [], 1, '20 movements are never done on the left, the first of them "A"', 'one-sided by tradition'],
    'sides' => [new SidesRule, [['side' => 'left', 'repetition' => '6'], []], [], 1, 'done 6 times on the left and never on the right', 'one-sided by tradition'],
    'sides: over occurrences' => [new SidesRule, [['side' => 'left', 'repetition' => '6'], ['side' => 'right', 'mirrors' => 'a', 'repetition' => '2']], [], 1, '6 times on the left and twice on the right', 'one-sided by tradition'],
    'reference: nothing' => [new ReferenceRule, [[], ['returns' => 'z']], [], 2, 'returns to "z", which is no entry', 'take the reference out'],
    'reference: itself' => [new ReferenceRule, [[], ['mirrors' => 'b']], [], 2, 'mirrors itself', 'take the reference out'],
    'reference: forward' => [new ReferenceRule, [['returns' => 'b'], []], [], 1, 'which comes later', 'take the reference out'],
    'reference: supposed' => [new ReferenceRule, [['title' => 'Same'], ['title' => 'Same', 'returns' => 'z']], [], 2, 'no entry', 'returns to 1'],
    'twin' => [new TwinRule, [['title' => 'Same', 'number' => 6], [], ['title' => 'same']], [], 3, 'same title as entry 1', 'returns to 6'],
    'twin: other side' => [new TwinRule, [['title' => 'Same', 'number' => 6, 'side' => 'left'], ['title' => 'Same', 'side' => 'right']], [], 2, 'same title as entry 1', 'mirrors 6'],
    'care: one leg' => [new CareRule, [['one_leg' => true]], [], 1, 'a one-legged stance and no caution', 'add a caution: balance – support'],
    'care: as the teacher says' => [new CareRule, [['strains' => ['neck_circle', 'fold']]], [], 1, 'a neck circle and a fold', 'add a caution: neck – skip and lower back – smaller'],
    'care: a fast turn' => [new CareRule, [['turn' => -180, 'breaths' => 1]], [], 1, 'a fast turn', 'add a caution: dizziness – smaller'],
    'care: a low variant' => [new CareRule, [['variants' => [['title' => 'Down', 'depth' => 'low']]]], [], 1, 'a deep bend', 'add a caution: knee – smaller'],
    'breath: a hole' => [new BreathRule, [breathed('in', null, 'in')], [], 1, 'phase 2 has no breath', 'breathe out in phase 2'],
    'breath: a long hole' => [new BreathRule, [breathed('in', null, null, 'out')], [], 1, 'phases 2 to 3 have no breath', null],
    'breath: twice the same' => [new BreathRule, [breathed('in', 'out', 'out')], [], 1, 'breathes out in phases 2 and 3', null],
    'breath: from one entry to the next' => [new BreathRule, [breathed('in', 'out'), breathed('out', 'in')], [], 2, 'begins breathing out, as "A" before it ends', null],
    'breath: opposite ways' => [new BreathRule, [breathed('in', 'out'), breathed('pause'), ['returns' => 'a', ...breathed('out', 'pause')]], [], 3, 'breathes out in phase 1 where the same movement at entry 1 breathes in', null],
    'breath: opposite ways, in two later places' => [new BreathRule, [breathed('pause', 'out'), breathed('pause'), ['returns' => 'a', ...breathed('in', 'out')], breathed('pause'), ['returns' => 'a', ...breathed('out', 'pause')]], [], 5, 'where the same movement at entry 3 breathes in', null],
    'number: repeats across an opening' => [new NumberRule, [['kind' => 'opening', 'booklet' => ['number' => '1']], ['booklet' => ['number' => '1']]], [], 2, 'has the booklet number 1, as entry 1', null],
    'number: disagrees' => [new NumberRule, [['number' => 2, 'booklet' => ['number' => '3b', 'page' => 9]]], [], 1, 'is 3b in the booklet and 2 as published', 'booklet number 2'],
    'number: repeats' => [new NumberRule, [['booklet' => ['number' => '3']], ['booklet' => ['number' => '3']]], [], 2, 'has the booklet number 3, as entry 1', null],
    'number: a run without' => [new NumberRule, [['booklet' => ['number' => '1']], [], []], [], 2, 'Entries 2 to 3 (2 movements) have no booklet number', null],
    'number: another scheme' => [new NumberRule, [['numbers' => [['scheme' => 'Short', 'number' => '1']]], ['numbers' => [['scheme' => 'Short', 'number' => '1']]]], ['schemes' => [['name' => 'Short']]], 2, 'has the number of "Short" 1', null],
    'nth: of the repetition' => [new NthRule, [['repetition' => '6, the 4th ends differently']], [], 1, 'says that repetition 4 differs and not how', null],
    'nth: of the sides' => [new NthRule, [['differs' => [['nth' => 2, 'of' => 'sides']]]], [], 1, 'side 2 differs', null],
]);

test('what is right is not found fault with', function (FindingRule $rule, array $entries, array $root) {
    expect(FormAudit::of(Sample::form($entries, $root), [$rule])->open)->toBe([]);
})->with([
    'count' => [new CountRule, numbers(1, 2, 3), ['announced' => 3]],
    'count: no numbers at all' => [new CountRule, numbers(null, null), []],
    'count: an opening needs none' => [new CountRule, [['kind' => 'opening'], ['number' => 1]], ['announced' => 1]],
    'count: an opening and a closing that are counted' => [new CountRule, [['kind' => 'opening', 'number' => 1], ['number' => 2], ['kind' => 'closing', 'number' => 3]], ['announced' => 3]],
    'weight: an empty foot' => [new WeightRule, [['weight_end' => 10], ['first_step' => 'left']], []], // an empty foot carries at most 10 % (common practice)
    'weight: no step' => [new WeightRule, [['weight_end' => 50], ['first_step' => 'none']], []],
    'weight: an extra between' => [new WeightRule, [['weight_end' => 0], ['kind' => 'extra', 'weight_end' => 100], ['first_step' => 'left']], []],
    'turn' => [new TurnRule, [['turn' => 270], ['turn' => 90]], []],
    'turn: an extra after the closing' => [new TurnRule, [['turn' => 0], ['kind' => 'extra', 'turn' => 90]], []],
    'turn: nothing but extras' => [new TurnRule, [['kind' => 'extra', 'turn' => 90]], []],
    'travel: an extra after the closing, or before the opening' => [new TravelRule, [['kind' => 'extra', 'travel' => [5, 0], 'turn' => 90], ['travel' => [1, 1], 'turn' => 0], ['kind' => 'extra', 'travel' => [9, 0]]], []],
    'twin: one that says what it is the same as' => [new TwinRule, [['title' => 'Same'], ['title' => 'Other'], ['title' => 'Same', 'mirrors' => 'b']], []],
    'number: an opening needs none' => [new NumberRule, [['kind' => 'opening'], ['booklet' => ['number' => '1']], ['kind' => 'connector'], ['booklet' => ['number' => '2']], ['kind' => 'closing']], []],
    'travel' => [new TravelRule, [['travel' => [3, 0], 'turn' => 180], ['travel' => [2, 0]]], []],
    'sides: mirrored' => [new SidesRule, [['side' => 'left'], ['side' => 'right', 'mirrors' => 'a']], []],
    'sides: one more' => [new SidesRule, [['repetition' => 'L-R-L']], []],
    'sides: by tradition' => [new SidesRule, [['side' => 'left', 'repetition' => '9', 'one_sided' => true]], []],
    'reference' => [new ReferenceRule, [[], ['returns' => 'a']], []],
    'twin' => [new TwinRule, [['title' => 'Same'], ['title' => 'Same', 'returns' => 'a']], []],
    'care' => [new CareRule, [['one_leg' => true, 'cautions' => [['for' => 'balance', 'do' => 'support']]]], []],
    'care: a slow turn' => [new CareRule, [['turn' => 180, 'breaths' => 3]], []],
    'breath' => [new BreathRule, [breathed('in', 'out'), breathed('in', 'pause', 'out'), ['returns' => 'a', ...breathed('in')]], []],
    'breath: phases without any' => [new BreathRule, [breathed(null, null, 'in', 'out', null)], []],
    'number' => [new NumberRule, [['number' => 1, 'booklet' => ['number' => '1a']], ['number' => 2, 'booklet' => ['number' => '2']]], []],
    'nth' => [new NthRule, [['repetition' => '6, the 4th ends differently', 'differs' => [['nth' => 4, 'of' => 'repetitions', 'how' => 'toes out']]]], []],
    'silent' => [new SilentRule, [['side' => 'left', 'breaths' => 2, 'steps' => 1, 'turn' => 0, 'travel' => [0, 0]]], []],
]);

test('what is not said is told once a field, not once an entry', function () {
    $findings = FormAudit::of(Sample::form([['turn' => 0], [], ['kind' => 'extra']]), [new SilentRule])->open;
    expect(array_map(fn ($finding) => preg_split('/[,:]/', Said::of($finding->says))[0], $findings))->toBe([
        '2 entries do not say their sides', '2 entries do not say their breaths', '2 entries do not say their steps',
        '1 entry does not say its turn', '2 entries do not say their travel',
    ]);
});

test('a hold that lasts, or lasts until told, needs no breaths', function () {
    $findings = FormAudit::of(Sample::form([['repetition' => '20 s'], ['repetition' => 'until told'], ['repetition' => '3 br']]), [new SilentRule])->open;
    expect(Said::all(array_map(fn ($finding) => $finding->says, $findings)))->not->toContain('breaths');
});

test('what is missing is said as it is, and what stands elsewhere is not missing', function () {
    $says = array_map(fn ($finding) => Said::of($finding->says), FormAudit::of(Sample::form(numbers(1, 2, 8, 4, 6, 9)), [new CountRule])->open);
    expect($says)->toBe([
        'Entry 3, "C", is number 8 and comes before number 4.', 'Before entry 4, "D", number 3 is missing.', 'Before entry 5, "E", number 5 is missing.', 'Before entry 6, "F", number 7 is missing.',
    ]);
    $says = array_map(fn ($finding) => Said::of($finding->says), FormAudit::of(Sample::form(numbers(2, 9)), [new CountRule])->open);
    expect($says)->toBe(['Before entry 1, "A", number 1 is missing.', 'Before entry 2, "B", numbers 3 to 8 are missing.']);
});

test('of any numbers, one changed to anything else is at most one finding more than its gap, and what is offered leaves none', function () {
    mt_srand(20261127);
    for ($case = 0; $case < 300; $case++) {
        $count = mt_rand(4, 24);
        $numbers = range(1, $count);
        $at = mt_rand(1, $count - 2);
        do {
            $wrong = mt_rand(0, 99);
        } while ($wrong === $at + 1);
        $numbers[$at] = $wrong;
        $form = Sample::form(numbers(...$numbers));
        $findings = FormAudit::of($form, [new CountRule])->open;
        expect($findings)->toHaveCount(1)->and($findings[0]->position)->toBe($at + 1);
        expect(FormAudit::of(Sample::edited($form, $findings[0]->mend?->edits ?? []), [new CountRule])->open)->toBe([]);
    }
});

test('breaths that are not said are assumed, and it says how many', function () {
    expect(Said::all(array_map(fn ($finding) => $finding->says, FormAudit::of(Sample::form([[], []]), [new SilentRule])->open)))->toContain('2 entries do not say their breaths: 2 are assumed for each');
});
