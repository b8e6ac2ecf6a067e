<?php

declare(strict_types=1);

use Gorvan\Core\Principle\Bite;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\FocusHistory;
use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Term\ExpectedStudent;
use Gorvan\Core\Term\FocusOutset;
use Gorvan\Core\Term\FocusPlanner;
use Gorvan\Core\Term\MeetingPins;
use Gorvan\Core\Term\PlannedFocus;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

/** @return array<int, list<PlannedFocus>> */
function focuses(array $with = [], array $pins = [], int $meetings = 6, array $after = ['p1' => [], 'p2' => ['p1'], 'p3' => []]): array
{
    $set = PrincipleSet::of('Set', null, [], array_map(fn (string $id) => new Principle($id, strtoupper($id), after: $after[$id]), array_keys($after)));
    $dates = array_map(fn (int $week) => new TermMeeting(date('Y-m-d', strtotime("2026-01-07 +$week weeks")), 60, pins: new MeetingPins(...($pins[$week] ?? []))), range(0, $meetings - 1));
    $outset = new FocusOutset(...['set' => $set, 'students' => ExpectedStudent::invented(1, 1.0), ...$with]);

    return (new FocusPlanner)->lay('seed', $outset, $dates, array_fill(0, $meetings, ['c' => ['a', 'b']]));
}

/** @param  array<int, list<PlannedFocus>>  $laid */
function chosenFocuses(array $laid): string
{
    return implode(' ', array_map(fn (array $focus) => implode('+', array_map(fn (PlannedFocus $one) => $one->principle.($one->isNew ? '*' : ''), $focus)), $laid));
}

test('a new principle comes at most every second meeting, and not before what it comes after', function () {
    expect(chosenFocuses(focuses()))->toStartWith('p1* p1 p2*')
        ->and(chosenFocuses(focuses(meetings: 8)))->toMatch('/^p1\* p1 p2\* \S+ p3\*/')
        ->and(chosenFocuses(focuses(after: ['p1' => ['p3'], 'p2' => ['p1'], 'p3' => []])))->toStartWith('p3* p3 p1*');
});

test('what comes before must be there by half: a class that hardly comes waits with the next one', function () {
    // Of 64 copies that come one time in ten the mean stays far under a half.
    expect(chosenFocuses(focuses(['students' => ExpectedStudent::invented(2, 0.1)], after: ['p1' => [], 'p2' => ['p1']])))->toBe('p1* p1 p1 p1 p1 p1');
});

test('what a group worked on before counts: nothing is new twice, and a new one of last week makes tonight wait', function () {
    $been = new FocusHistory(['p1' => 3], true, 'p1', 1);
    expect(chosenFocuses(focuses(['history' => $been])))->toStartWith('p1 p2*') // nobody remembers p1 but for tonight
        ->and((new FocusHistory)->after(['p1'])->after(['p1', 'p2'])->after([]))->toEqual(new FocusHistory(['p1' => 2, 'p2' => 1], false, 'p1', 2));
});

test('several a meeting: at most one of them new, the one that is worth most first', function () {
    expect(chosenFocuses(focuses(['most' => 2])))->toStartWith('p1* p1 p2*+p1');
});

test('a focus by hand is kept, counted as worked on, and left to the plan once it has gone from the set', function () {
    $laid = focuses(pins: [0 => ['principles' => ['p3']], 1 => ['principles' => []], 2 => ['principles' => ['gone']]]);
    expect(chosenFocuses($laid))->toStartWith('p3*  p1*')
        ->and(Said::of($laid[0][0]->why))->toBe('set by hand')
        ->and(Said::of($laid[2][0]->why))->toBe('new, after a meeting on P3');
});

test('the reason says what speaks for a focus, and where tonight shows it most', function () {
    $form = Sample::form([['number' => 31], ['number' => 32]]);
    $laid = focuses(['bites' => ['c' => new Bites([new Bite('p1', 'a', 2), new Bite('p1', 'b', 2)])], 'forms' => ['c' => $form]]);
    expect(Said::of($laid[0][0]->why))->toBe('new: what the set begins with; tonight 31 to 32 show it most')
        ->and(Said::of($laid[1][0]->why))->toMatch('/^without it the class would be down to \d\d % by the next meeting; tonight 31 to 32 show it most$/')
        ->and(Said::of($laid[2][0]->why))->toBe('new, after 2 meetings on P1');
});

/** @return array<int, list<PlannedFocus>> of a set in two families and a principle of none, two meetings a week, Monday and Thursday */
function byFamily(array $quiet = [], array $with = [], array $pins = []): array
{
    $set = PrincipleSet::of('Set', null, ['Body', 'Mind'], [
        new Principle('b1', 'B1', 'Body'), new Principle('b2', 'B2', 'Body', after: ['b1']),
        new Principle('m1', 'M1', 'Mind', after: ['b2']), new Principle('m2', 'M2', 'Mind'), new Principle('own', 'Own'),
    ]);
    $dates = array_map(fn (int $at) => new TermMeeting(date('Y-m-d', strtotime('2026-01-05 +'.(7 * intdiv($at, 2) + 3 * ($at % 2)).' days')), 60, pins: new MeetingPins(...($pins[$at] ?? []))), range(0, 7));

    return (new FocusPlanner)->lay('seed', new FocusOutset(...['set' => $set, 'students' => ExpectedStudent::invented(1, 1.0), 'byFamily' => true, ...$with]), $dates, array_fill(0, 8, ['c' => ['a', 'b']]), $quiet);
}

test('a whole family is worked on for a week, from Monday on; what comes before within it comes along', function () {
    $laid = chosenFocuses(byFamily());
    // The first family in order, both its members at once, on both meetings of its week.
    expect($laid)->toStartWith('b1*+b2* b1+b2 ')
        // Then the next: all of it that is open, also what comes after the first.
        ->and($laid)->toContain('m1*+m2* m1+m2')
        ->and(array_map(fn (string $one): array => array_map(fn (string $p): string => trim($p, '*'), explode('+', $one)), explode(' ', $laid)))->each->toBeIn([['b1', 'b2'], ['m1', 'm2'], ['m2'], ['own']]);
    foreach (array_chunk(array_map(fn (string $one): string => str_replace('*', '', $one), explode(' ', $laid)), 2) as [$monday, $thursday]) {
        expect($thursday)->toBe($monday);
    }
    expect(Said::of(byFamily()[0][0]->why))->toBe('new, with the family Body this week');
});

test('on a showing’s evening and its eve nothing in principles is new, also of a family', function () {
    $laid = byFamily(quiet: [2, 3]);
    foreach ([2, 3] as $at) {
        expect(array_filter($laid[$at], fn (PlannedFocus $one): bool => $one->isNew))->toBe([]);
    }
    expect(byFamily(quiet: [0])[0])->toBe([]);
});

test('a focus by hand stands beside families: the week goes on with its own', function () {
    $laid = explode(' ', chosenFocuses(byFamily(pins: [2 => ['principles' => ['own']]])));
    expect($laid[0])->toBe('b1*+b2*')->and($laid[2])->toBe('own*')->and($laid[3])->not->toBe('')->not->toContain('*'); // nothing is new after what was new by hand
});

test('the same class gives the same focuses, and another seed other draws', function () {
    $with = ['students' => ExpectedStudent::invented(7)];
    expect(focuses($with))->toEqual(focuses($with));
});
