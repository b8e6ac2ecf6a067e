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
    ['about 6 a side', RepetitionKind::Unread, null, null],
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
