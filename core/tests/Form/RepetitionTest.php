<?php

declare(strict_types=1);

use Gorvan\Core\Form\Repetition;
use Gorvan\Core\Form\RepetitionKind;
use Gorvan\Core\Form\Side;

test('every way of saying how often is read', function (string $stated, RepetitionKind $kind, ?int $times, ?float $seconds) {
    $repetition = Repetition::parse($stated);
    expect($repetition->kind)->toBe($kind)
        ->and($repetition->times)->toBe($times)
        ->and($repetition->seconds)->toBe($seconds)
        ->and($repetition->stated)->toBe($stated)
        ->and($repetition->isUnderstood())->toBe($kind !== RepetitionKind::Unread);
})->with([
    ['6', RepetitionKind::Fixed, 6, null],
    ['3x', RepetitionKind::Fixed, 3, null],
    ['3 X', RepetitionKind::Fixed, 3, null],
    ['x3', RepetitionKind::Fixed, 3, null],
    ['×3', RepetitionKind::Fixed, 3, null],
    ['7x7', RepetitionKind::Nested, 49, null], // 7 x 7 = 49 heel drops (common practice)
    ['7 × 7', RepetitionKind::Nested, 49, null],
    ['L-R-L', RepetitionKind::Alternating, 3, null],
    ['l - r', RepetitionKind::Alternating, 2, null],
    ['20 s', RepetitionKind::Timed, 1, 20.0],
    ['20s', RepetitionKind::Timed, 1, 20.0],
    ['1.5 min', RepetitionKind::Timed, 1, 90.0],
    ['15 minutes', RepetitionKind::Timed, 1, 900.0],
    ['3 br', RepetitionKind::Breaths, 3, null],
    ['9 breaths', RepetitionKind::Breaths, 9, null],
    ['Until told', RepetitionKind::UntilTold, null, null],
    ['about 6 a side', RepetitionKind::Fixed, 6, null],
    ['6-8', RepetitionKind::Fixed, 7, null],
    ['8+2', RepetitionKind::Fixed, 10, null],
    ['6, the 4th ends differently', RepetitionKind::Fixed, 6, null],
    ['20-30 s each side', RepetitionKind::Timed, 1, 25.0],
    ['now and then', RepetitionKind::Unread, null, null],
    ['L', RepetitionKind::Unread, null, null],
    ['', RepetitionKind::Unread, null, null],
    ['-3', RepetitionKind::Unread, null, null],
]);

test('an alternating repetition ends on its last side', function (string $stated, ?Side $side) {
    expect(Repetition::parse($stated)->endingSide())->toBe($side);
})->with([
    ['L-R-L', Side::Left],
    ['L-R', Side::Right],
    ['R-L-R-L', Side::Left],
    ['6', null],
]);

test('an amount says whether it is a range, about, a side, in all, and in which parts', function () {
    $about = Repetition::parse('about 6 a side');
    expect([$about->isAbout, $about->isPerSide, $about->inAll()])->toBe([true, true, 12]);
    $range = Repetition::parse('6-8 in all');
    expect([$range->range, $range->isPerSide, $range->inAll()])->toBe([[6.0, 8.0], false, 7]);
    expect(Repetition::parse('8+2')->parts)->toBe([8, 2])
        ->and(Repetition::parse('6')->isPerSide)->toBeNull()
        ->and(Repetition::parse('until told')->inAll())->toBeNull();
});

test('one of the repetitions can be said to differ, whatever their kind', function (string $stated, RepetitionKind $kind, ?int $differing) {
    $repetition = Repetition::parse($stated);
    expect([$repetition->kind, $repetition->differing])->toBe([$kind, $differing]);
})->with([
    ['6, the 4th ends differently', RepetitionKind::Fixed, 4],
    ['L-R-L; 2nd differs', RepetitionKind::Alternating, 2],
    ['3 br, the 1st is different', RepetitionKind::Breaths, 1],
    ['6', RepetitionKind::Fixed, null],
]);

test('the other side of a repetition exchanges its sides and nothing else', function () {
    expect(Repetition::parse('L-R-L')->mirrored()->stated)->toBe('R-L-R')
        ->and(Repetition::parse('l-r, the 2nd differs')->mirrored()->stated)->toBe('r-l, the 2nd differs')
        ->and(Repetition::parse('L-R-L')->mirrored()->endingSide())->toBe(Side::Right)
        ->and(Repetition::parse('20 s')->mirrored()->stated)->toBe('20 s');
});
