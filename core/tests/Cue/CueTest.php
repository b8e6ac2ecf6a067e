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
    $card = CueCard::of(Sample::whole()->at(2), $view);
    expect([$card->side, $card->own, $card->turn === null ? null : Said::of($card->turn), implode(', ', array_map(Said::of(...), $card->travel))])->toBe(['left', $own, $turn, $travel]);
})->with([
    [CueView::FacingClass, 'right', '90° to the left (your right)', '1 step towards you, 0.5 steps left (your right)'],
    [CueView::SameDirection, null, '90° to the left', '1 step forward, 0.5 steps left'],
    [CueView::FromBehind, null, '90° to the left', '1 step away from you, 0.5 steps left'],
    [CueView::Plain, null, '90° to the left', '1 step forward, 0.5 steps left'],
]);

test('a card carries the cues of the phases, the breaths, what to look for, and the cautions', function () {
    $card = CueCard::of(Sample::whole()->at(2), CueView::Plain);
    expect($card->cues)->toBe(["turn from the waist to the {L}\u{2013}slowly", 'draw the {L} elbow in'])
        ->and($card->breaths)->toBe(['in', 'out'])
        ->and($card->checks)->toBe(['the {L} heel comes down first'])
        ->and(Said::all($card->cautions))->toBe("dizziness: support \u{2013} A wall on the {R}.");
});
