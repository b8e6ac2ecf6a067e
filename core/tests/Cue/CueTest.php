<?php

declare(strict_types=1);

use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

test('a side of the class is said with the teacher’s own beside it where that is another', function (CueView $view, string $left, string $right) {
    expect([Said::of($view->side(Side::Left)), Said::of($view->side(Side::Right))])->toBe([$left, $right]);
})->with([
    [CueView::FacingClass, 'left (your right)', 'right (your left)'], // the class mirrors a teacher who faces it (common practice)
    [CueView::SameDirection, 'left', 'right'],
    [CueView::FromBehind, 'left', 'right'],
    [CueView::Plain, 'left', 'right'],
]);

test('a card says the class’s side, and the teacher’s own beside it where that is another', function (CueView $view, ?string $own, ?string $turn, ?string $travel) {
    $card = CueCard::of(Sample::edited(Sample::whole(), [['op' => 'set', 'id' => 'a', 'fields' => ['turn' => 0]]]), 2, $view);
    expect([$card->side, $card->own, $card->turn === null ? null : Said::of($card->turn), implode(', ', array_map(Said::of(...), $card->travel))])->toBe(['left', $own, $turn, $travel]);
})->with([
    [CueView::FacingClass, 'right', '90° to the left (your right)', '1 step towards you, 0.5 steps left (your right)'],
    [CueView::SameDirection, null, '90° to the left', '1 step forward, 0.5 steps left'],
    [CueView::FromBehind, null, '90° to the left', '1 step away from you, 0.5 steps left'],
    [CueView::Plain, null, '90° to the left', '1 step forward, 0.5 steps left'],
]);

test('a card carries the cues of the phases, the breaths, what to look for, and the cautions', function () {
    $card = CueCard::of(Sample::whole(), 2, CueView::Plain);
    expect($card->cues)->toBe(["turn from the waist to the {L}\u{2013}slowly", 'draw the {L} elbow in'])
        ->and($card->breaths)->toBe(['in', 'out'])
        ->and($card->checks)->toBe(['the {L} heel comes down first'])
        ->and(Said::all($card->cautions))->toBe("dizziness: support \u{2013} A wall on the {R}.");
});

test('a class that has turned steps along the hall, and where it faces is read from the turns before', function (array $turns, array $says) {
    $form = Sample::form([...array_map(static fn (?float $turn): array => ['turn' => $turn], $turns), ['travel' => [1, 0]], ['turn' => 0, 'travel' => [-2, 0]]]);
    $at = count($turns) + 1;
    $said = fn (int $position, CueView $view) => implode(', ', array_map(Said::of(...), CueCard::of($form, $position, $view)->travel));
    expect([$said($at, CueView::FacingClass), $said($at, CueView::FromBehind), $said($at, CueView::SameDirection)])->toBe($says);
})->with([
    'not at all' => [[0], ['1 step towards you', '1 step away from you', '1 step forward']],
    'a quarter to the right' => [[0, 90], ['1 step forward, along the hall to your left', '1 step forward, along the hall to your right', '1 step forward']],
    'a quarter to the left' => [[-90], ['1 step forward, along the hall to your right', '1 step forward, along the hall to your left', '1 step forward']],
    'right round' => [[90, 90], ['1 step away from you', '1 step towards you', '1 step forward']],
    'once round, and more' => [[270, 180], ['1 step forward, along the hall to your left', '1 step forward, along the hall to your right', '1 step forward']],
    'to a corner' => [[45], ['1 step forward', '1 step forward', '1 step forward']],
    'nobody knows where' => [[90, null], ['1 step forward (not every turn before it is said: which way is not known)', '1 step forward (not every turn before it is said: which way is not known)', '1 step forward']],
]);

test('a step back of a class that has turned goes the other way along the hall', function () {
    $form = Sample::form([['turn' => 90], ['travel' => [-1, 0]]]);
    expect(Said::of(CueCard::of($form, 2, CueView::FacingClass)->travel[0]))->toBe('1 step back, along the hall to your right');
});

test('an extra before the form turns nobody: the form opens as it stands then', function () {
    $form = Sample::form([['kind' => 'extra', 'turn' => 180], ['travel' => [1, 0]]]);
    expect(Said::of(CueCard::of($form, 2, CueView::FacingClass)->travel[0]))->toBe('1 step towards you');
});

test('an entry without a cue has those of what it returns to, and of what it mirrors the other way round', function () {
    $form = Sample::form([['cues' => ['{L} hand up']], ['mirrors' => 'a'], ['returns' => 'b'], ['mirrors' => 'c'], ['mirrors' => 'a', 'cues' => ['my own']], ['returns' => 'z'], ['returns' => 'h'], []]);
    expect(array_map(fn (int $at) => CueCard::of($form, $at, CueView::Plain)->cues, range(1, 8)))->toBe([['{L} hand up'], ['{R} hand up'], ['{R} hand up'], ['{L} hand up'], ['my own'], [], [], []]);
});
