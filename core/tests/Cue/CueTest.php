<?php

declare(strict_types=1);

use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Tests\Sample;

test('a cue is written once and turned for where the teacher stands', function (CueView $view, string $cue) {
    expect(CueCard::turned('step {L}, look {R}', $view))->toBe($cue);
})->with([
    [CueView::FacingClass, 'step left (your right), look right (your left)'], // the class mirrors a teacher who faces it (common practice)
    [CueView::SameDirection, 'step left, look right'],
    [CueView::FromBehind, 'step left, look right'],
    [CueView::Plain, 'step left, look right'],
]);

test('a card says the class’s side, and the teacher’s own beside it where that is another', function (CueView $view, ?string $own, ?string $turn, ?string $travel) {
    $card = CueCard::of(Sample::whole()->at(2), $view);
    expect([$card->side, $card->own, $card->turn, $card->travel])->toBe(['left', $own, $turn, $travel]);
})->with([
    [CueView::FacingClass, 'right', '90° to the left (your right)', '1 step towards you, 0.5 steps left (your right)'],
    [CueView::SameDirection, null, '90° to the left', '1 step forward, 0.5 steps left'],
    [CueView::FromBehind, null, '90° to the left', '1 step away from you, 0.5 steps left'],
    [CueView::Plain, null, '90° to the left', '1 step forward, 0.5 steps left'],
]);

test('a card carries the cues of the phases, the breaths, what to look for, and the cautions', function () {
    $card = CueCard::of(Sample::whole()->at(2), CueView::Plain);
    expect($card->cues)->toBe(["turn from the waist to the left\u{2013}slowly", 'draw the left elbow in'])
        ->and($card->breaths)->toBe(['in', 'out'])
        ->and($card->checks)->toBe(['the left heel comes down first'])
        ->and($card->cautions)->toBe(["dizziness: support \u{2013} A wall on the right."]);
});
