<?php

declare(strict_types=1);

use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Edit\FormReversal;
use Gorvan\Core\Form\File\ReadForm;
use Gorvan\Core\Form\File\ReferenceCycles;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

beforeEach(function () {
    $this->before = Sample::form([[], [], []], ['sections' => [['title' => 'One', 'first' => 1, 'last' => 2]]]);
});

test('a change is taken back and leaves what came after it', function (array $change, array $since) {
    $after = Sample::edited($this->before, $change);
    $now = Sample::edited($after, $since);
    expect(FormReversal::clashes($this->before, $after, $now))->toBe([])
        ->and(FormDifference::between(FormReversal::of($this->before, $after, $now), Sample::edited($this->before, $since))->isNone())->toBeTrue();
})->with([
    'nothing since' => [[['op' => 'set', 'id' => 'a', 'fields' => ['turn' => 90]]], []],
    'another entry since' => [[['op' => 'set', 'id' => 'a', 'fields' => ['turn' => 90]]], [['op' => 'set', 'id' => 'b', 'fields' => ['turn' => 45]]]],
    'an entry was put in' => [[['op' => 'insert', 'after' => 'a', 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => 'X']]]], [['op' => 'set', 'id' => 'b', 'fields' => ['turn' => 45]], ['op' => 'form', 'fields' => ['announced' => 3]]]],
    'an entry was taken out' => [[['op' => 'remove', 'ids' => ['b']]], [['op' => 'set', 'id' => 'c', 'fields' => ['turn' => 45]]]],
    'an entry moved since' => [[['op' => 'set', 'id' => 'a', 'fields' => ['turn' => 90]]], [['op' => 'move', 'id' => 'c', 'after' => null]]],
    'of the form as a whole' => [[['op' => 'form', 'fields' => ['announced' => 9]]], [['op' => 'set', 'id' => 'a', 'fields' => ['turn' => 1]]]],
]);

test('what was changed again since is not taken back', function (array $change, array $since, array $clashes) {
    $after = Sample::edited($this->before, $change);
    expect(FormReversal::clashes($this->before, $after, Sample::edited($after, $since)))->toBe($clashes);
})->with([
    'the same entry' => [[['op' => 'set', 'id' => 'a', 'fields' => ['turn' => 90]]], [['op' => 'set', 'id' => 'a', 'fields' => ['turn' => 45]]], ['a']],
    'the order' => [[['op' => 'move', 'id' => 'c', 'after' => null]], [['op' => 'remove', 'ids' => ['b']]], ['form']],
]);

test('a circle of relations is found once, from its first entry round', function () {
    expect(ReferenceCycles::of(Sample::form([[], ['returns' => 'd'], ['mirrors' => 'b'], ['returns' => 'c'], ['returns' => 'e'], ['returns' => 'b']])))->toBe([[2, 4, 3]])
        ->and(ReferenceCycles::of(Sample::form([[], ['returns' => 'a'], ['mirrors' => 'b']])))->toBe([]);
});

test('a circle in a file is refused with its line', function () {
    $form = Sample::form([['returns' => 'b'], ['returns' => 'a']]);
    try {
        ReferenceCycles::refuse(new ReadForm($form, lines: [7, 8]), '');
    } catch (BadInput $e) {
        expect($e->place)->toBe('7')->and(Said::of($e->reason))->toStartWith('"A" (entry 1) and "B" (entry 2) return to or mirror each other');

        return;
    }
    $this->fail('It was accepted.');
});
