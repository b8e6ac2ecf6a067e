<?php

declare(strict_types=1);

use Gorvan\Core\Form\Audit\FormAudit;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Reading\Gone;
use Gorvan\Core\Tests\Sample;

/** @return list<array<string, mixed>> one acceptance of each open finding of a code */
function acceptances(Gorvan\Core\Form\Form $form, FindingCode $code): array
{
    $open = array_filter(FormAudit::of($form)->open, fn ($finding) => $finding->code === $code);

    return array_values(array_map(fn ($finding) => ['op' => 'accept', 'code' => $code->value, 'grounds' => $finding->grounds($form), 'reason' => 'one-sided by tradition'], $open));
}

/** @return array<string, int> open findings by code */
function openFindings(Gorvan\Core\Form\Form $form): array
{
    return array_count_values(array_map(fn ($finding) => $finding->code->value, FormAudit::of($form)->open));
}

test('findings stand in the order of the form, those of the whole form first, and every code has a rule', function () {
    $form = Sample::form([['side' => 'left'], ['turn' => 90, 'returns' => 'z']], ['announced' => 9]);
    $positions = array_map(fn ($finding) => $finding->position ?? 0, FormAudit::of($form)->open);
    $sorted = $positions;
    sort($sorted);
    expect($positions)->toBe($sorted)->and($positions[0])->toBe(0)->and(end($positions))->toBe(2)
        ->and(FormAudit::rules())->toHaveCount(count(FindingCode::cases()));
});

test('an accepted finding is out of the way with its reason, and comes back when its entry changes', function () {
    $form = Sample::form([['side' => 'left'], [], ['side' => 'right']]);
    expect(openFindings($form)['sides'])->toBe(2);
    $accepted = Sample::edited($form, [acceptances($form, FindingCode::Sides)[0]]);
    expect(openFindings($accepted)['sides'])->toBe(1)
        ->and(FormAudit::of($accepted)->accepted[0]->reason)->toBe('one-sided by tradition');
    // Something else, or its place, changes: it stays accepted.
    foreach ([['op' => 'set', 'id' => 'b', 'fields' => ['turn' => 45]], ['op' => 'move', 'id' => 'a', 'after' => 'b'], ['op' => 'set', 'id' => 'a', 'fields' => ['rest' => 0.5]]] as $edit) {
        expect(openFindings(Sample::edited($accepted, [$edit]))['sides'])->toBe(1);
    }
    // The entry itself changes: it comes back.
    expect(openFindings(Sample::edited($accepted, [['op' => 'set', 'id' => 'a', 'fields' => ['repetition' => '3']]]))['sides'])->toBe(2);
});

test('a finding about the whole form comes back when what was measured changes', function () {
    $form = Sample::form([['turn' => 90], []]);
    $accepted = Sample::edited($form, acceptances($form, FindingCode::Turn));
    expect(openFindings($accepted))->not->toHaveKey('turn')
        ->and(openFindings(Sample::edited($accepted, [['op' => 'set', 'id' => 'b', 'fields' => ['turn' => 45]]])))->toHaveKey('turn');
});

test('what was accepted can be opened again, and what is not there cannot be accepted', function () {
    $form = Sample::form([['side' => 'left']]);
    [$accept] = acceptances($form, FindingCode::Sides);
    $accepted = Sample::edited($form, [$accept]);
    expect(openFindings(Sample::edited($accepted, [['reason' => null] + $accept])))->toHaveKey('sides');
    Sample::edited($form, [['grounds' => 'ffffffffffffffff'] + $accept]);
})->throws(Gone::class);

test('the totals add up, and an extra adds no movement, load, time or practice', function () {
    $form = Sample::form([
        ['kind' => 'opening', 'breaths' => 1],
        ['side' => 'left', 'repetition' => '3', 'turn' => 90, 'travel' => [2, 0]],
        ['side' => 'both', 'turn' => -90, 'travel' => [1, 0]],
        ['kind' => 'extra', 'side' => 'left', 'repetition' => '9'],
    ], ['breath_seconds' => 5]);
    $totals = FormAudit::of($form)->totals;
    expect($totals->entries)->toBe(4)
        ->and($totals->movements)->toBe(2)
        ->and($totals->seconds)->toBe(5.0 + 3 * 2 * 5.0 + 2 * 5.0)
        // 0.5 + (1.25 + 0.2) + (1.75 + 0.2): opening; a turn of 90; a turn and both sides
        ->and($totals->load)->toEqualWithDelta(0.5 + 1.45 + 1.95, 1e-9)
        ->and($totals->turn)->toBe(0.0)
        ->and($totals->travel)->toBe([2.0, 1.0])
        ->and([$totals->left, $totals->right])->toBe([4.0, 1.0]);
});
