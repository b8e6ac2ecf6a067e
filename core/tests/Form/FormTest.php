<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Form\WeightRange;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;

function formOf(int $count, Section ...$sections): Form
{
    return new Form('T', array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at"), range(1, $count)), array_values($sections));
}

test('positions count from 1, and ids are found', function () {
    $form = formOf(3);
    expect($form->count())->toBe(3)
        ->and($form->at(1)->id)->toBe('e1')
        ->and($form->positionOf('e3'))->toBe(3)
        ->and($form->positionOf('e4'))->toBeNull();
    $form->at(4); // a bug of whoever asks, and no answer for a person
})->throws(OutOfBoundsException::class, 'no entry at position 4');

test('sections may leave gaps', function () {
    $form = formOf(9, new Section('A', 1, 3), new Section('B', 6, 8));
    expect($form->sectionOf(2)?->title)->toBe('A')
        ->and($form->sectionOf(4))->toBeNull()
        ->and($form->sectionOf(8)?->title)->toBe('B')
        ->and($form->sectionEndsAt(3))->toBeTrue()
        ->and($form->sectionEndsAt(2))->toBeFalse();
});

test('a form that cannot be is refused', function (callable $make, string $says) {
    try {
        $make();
    } catch (BadInput $e) {
        expect(Said::of($e->reason))->toContain($says);

        return;
    }
    $this->fail('It was made.');
})->with([
    'no entry' => [fn () => new Form('T', []), 'at least one'],
    'section backwards' => [fn () => formOf(3, new Section('A', 3, 2)), 'ends before it starts'],
    'section outside' => [fn () => formOf(3, new Section('A', 0, 2)), 'outside'],
    'sections out of order' => [fn () => formOf(6, new Section('A', 4, 6), new Section('B', 1, 3)), 'overlaps'],
]);

test('an empty foot carries at most 10 % (common practice), and a range must lie wholly inside', function (float $from, float $to, bool $settled) {
    expect(WeightRange::between($from, $to)->isSettled())->toBe($settled);
})->with([
    [0.0, 0.0, true],
    [0.0, 10.0, true],
    [5.0, 11.0, false],
    [45.0, 55.0, true],
    [44.9, 50.0, false],
    [50.0, 55.1, false],
    [90.0, 100.0, true],
    [89.0, 100.0, false],
    [0.0, 100.0, false],
    [60.0, 60.0, false], // a gentle shift (common practice)
]);
