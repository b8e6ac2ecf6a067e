<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\LoadReason;
use Gorvan\Core\Form\Repetition;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\Time\RunTime;

function loadsOf(Entry ...$entries): array
{
    return (new LoadModel)->of(new Form('T', array_values($entries)));
}

test('demand adds up what is known and nothing else', function (Entry $entry, float $demand) {
    expect(loadsOf($entry)[0]->demand)->toEqualWithDelta($demand, 1e-12);
})->with([
    'bare' => [fn () => new Entry('a', EntryKind::Movement, 'A'), 1.0],
    'connector' => [fn () => new Entry('a', EntryKind::Connector, 'A'), 0.5],
    'turn of 44' => [fn () => new Entry('a', EntryKind::Movement, 'A', turn: 44.0), 1.0],
    'turn of 45' => [fn () => new Entry('a', EntryKind::Movement, 'A', turn: -45.0), 1.25],
    'turn of 135' => [fn () => new Entry('a', EntryKind::Movement, 'A', turn: -135.0), 1.5],
    'no step' => [fn () => new Entry('a', EntryKind::Movement, 'A', steps: 0), 1.0],
    'three steps' => [fn () => new Entry('a', EntryKind::Movement, 'A', steps: 3), 1.5],
    'nine steps' => [fn () => new Entry('a', EntryKind::Movement, 'A', steps: 9), 2.0],
    'one leg' => [fn () => new Entry('a', EntryKind::Movement, 'A', oneLeg: true), 1.75],
    'both sides' => [fn () => new Entry('a', EntryKind::Movement, 'A', side: Side::Both), 1.5],
    'alternating' => [fn () => new Entry('a', EntryKind::Movement, 'A', repetition: Repetition::parse('L-R')), 1.5],
    'stated' => [fn () => new Entry('a', EntryKind::Movement, 'A', turn: 180.0, demand: 0.25), 0.25],
]);

test('a return is lighter than a mirror, and wins over it', function () {
    [$a, $b, $c, $d] = loadsOf(
        new Entry('a', EntryKind::Movement, 'A'),
        new Entry('b', EntryKind::Movement, 'A', mirrors: 'a'),
        new Entry('c', EntryKind::Movement, 'A', returns: 'a', mirrors: 'b'),
        new Entry('d', EntryKind::Movement, 'A', returns: 'd', mirrors: 'e'),
    );
    expect($a->load)->toBe(1.0)
        ->and($b->load)->toEqualWithDelta(0.7, 1e-12)
        ->and($c->load)->toEqualWithDelta(0.35, 1e-12)
        ->and($d->load)->toEqualWithDelta(1.2, 1e-12); // points at itself and at nothing: new
});

test('an extra weighs nothing wherever it stands, and the first entry after it has no join', function () {
    $loads = loadsOf(
        new Entry('x', EntryKind::Extra, 'Circles'),
        new Entry('a', EntryKind::Opening, 'A'),
        new Entry('y', EntryKind::Extra, 'Roll'),
        new Entry('b', EntryKind::Movement, 'B'),
    );
    expect(array_map(fn ($load) => $load->load, $loads))->toEqualWithDelta([0.0, 0.5, 0.0, 1.2], 1e-12);
});

test('a load is told as its parts', function () {
    $parts = loadsOf(new Entry('a', EntryKind::Movement, 'A', turn: 180.0, steps: 2, oneLeg: true))[0]->parts;
    expect(array_map(fn ($part) => [$part->reason, $part->amount], $parts))
        ->toBe([[LoadReason::Base, 1.0], [LoadReason::BigTurn, 0.5], [LoadReason::Steps, 0.25], [LoadReason::OneLeg, 0.75]]);
});

test('a run-through takes breaths, holds and repetitions as stated, and says what it assumed', function () {
    $time = new RunTime(new Form('T', [
        new Entry('a', EntryKind::Movement, 'A'),
        new Entry('b', EntryKind::Movement, 'B', repetition: Repetition::parse('7x7'), breaths: 1.0),
        new Entry('c', EntryKind::Movement, 'C', repetition: Repetition::parse('20 s')),
        new Entry('d', EntryKind::Movement, 'D', repetition: Repetition::parse('until told')),
        new Entry('e', EntryKind::Extra, 'E'),
        new Entry('f', EntryKind::Movement, 'F', repetition: Repetition::parse('3 br')),
    ], breathSeconds: 5.0));
    expect(array_map($time->secondsOf(...), range(1, 6)))->toBe([10.0, 245.0, 20.0, null, 0.0, 15.0])
        ->and($time->secondsBetween(1, 6))->toBe(290.0)
        ->and($time->isAssumed(1))->toBeTrue()
        ->and($time->isAssumed(3))->toBeFalse();
});
