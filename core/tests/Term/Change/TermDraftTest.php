<?php

declare(strict_types=1);

use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Term\BoxesTooLong;
use Gorvan\Core\Term\Change\ChangeRefused;
use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\TermChangeReader;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\Closure;
use Gorvan\Core\Term\MeetingState;
use Gorvan\Core\Tests\Said;

/** Five Tuesdays in January 2026, the first held; today is the second, and the 28th and 29th are closed. */
function tuesdays(): TermDraft
{
    $days = ['a' => '2026-01-06', 'b' => '2026-01-13', 'c' => '2026-01-20', 'd' => '2026-01-27', 'e' => '2026-02-03'];

    return new TermDraft('2026-01-05', '2026-02-06', '2026-01-13', [new Closure('2026-01-28', '2026-01-29')], array_map(fn (string $id, string $on) => new DraftMeeting($id, $on, '19:00', 60, $id !== 'a'), array_keys($days), $days));
}

/** @param  array<string, mixed>  ...$changes  as a page sends them */
function changed(TermDraft $draft, array ...$changes): TermDraft
{
    return array_reduce($changes, fn (TermDraft $so, array $change) => TermChangeReader::read(JsonNode::of(json_decode((string) json_encode($change)), '$'))->on($so), $draft);
}

function refusedDraft(TermDraft $draft, array ...$changes): string
{
    try {
        changed($draft, ...$changes);
    } catch (ChangeRefused $refused) {
        return Said::of($refused->reason);
    }

    return 'nothing';
}

/** @return list<string> "day state" of each meeting */
function states(TermDraft $draft): array
{
    return array_map(fn (DraftMeeting $one) => "$one->id $one->on {$one->state->value}", $draft->meetings);
}

test('meetings stand in the order of their days, however they are moved', function () {
    $draft = changed(tuesdays(), ['what' => 'move', 'meeting' => 'b', 'to' => '2026-01-30', 'reason' => 'the hall is painted']);
    expect(array_column($draft->meetings, 'id'))->toBe(['a', 'c', 'd', 'b', 'e'])
        ->and($draft->meeting('b')->at)->toBe('19:00')->and($draft->meeting('b')->reason)->toBe('the hall is painted');
});

test('a change leaves the draft it was made of alone', function () {
    $draft = tuesdays();
    changed($draft, ['what' => 'cancel', 'meeting' => 'c'], ['what' => 'close', 'from' => '2026-02-01', 'to' => '2026-02-04']);
    expect($draft)->toEqual(tuesdays());
});

test('a meeting does not move where it cannot be, and the nearest day that can be is named, the earlier of two', function (string $to, string $says) {
    expect(refusedDraft(tuesdays(), ['what' => 'move', 'meeting' => 'd', 'to' => $to]))->toContain($says);
})->with([
    'onto another: its own day is nearer than none' => ['2026-01-20', 'The nearest day that is free is 2026-01-19'],
    'onto a closure: back to the day it has' => ['2026-01-28', 'The nearest day that is open and free is 2026-01-27'],
    'onto the last day of a closure' => ['2026-01-29', 'The nearest day that is open and free is 2026-01-30'],
    'before today' => ['2026-01-12', '2026-01-12 has gone by: choose 2026-01-13 or a later day'],
    'the day after the end' => ['2026-02-07', '2026-02-07'],
]);

test('two meetings fit on one day where they do not overlap, to the minute', function () {
    $move = fn (string $at) => ['what' => 'move', 'meeting' => 'd', 'to' => '2026-01-20', 'at' => $at];
    expect(changed(tuesdays(), $move('20:00'))->meeting('d')->on)->toBe('2026-01-20')
        ->and(changed(tuesdays(), $move('18:00'))->meeting('d')->at)->toBe('18:00')
        ->and(refusedDraft(tuesdays(), $move('19:59')))->toContain('There is another meeting')
        ->and(refusedDraft(tuesdays(), $move('18:01')))->toContain('There is another meeting');
});

test('a longer evening does not run into the next one of its day', function () {
    $two = changed(tuesdays(), ['what' => 'move', 'meeting' => 'd', 'to' => '2026-01-20', 'at' => '20:00']);
    expect(refusedDraft($two, ['what' => 'minutes', 'meeting' => 'c', 'minutes' => 75]))->toContain('There is another meeting on 2026-01-20 at 20:00')
        ->and(changed(tuesdays(), ['what' => 'minutes', 'meeting' => 'c', 'minutes' => 75])->meeting('c')->minutes)->toBe(75);
});

test('what is over is not changed, and what is not there is said to be gone', function () {
    expect(refusedDraft(tuesdays(), ['what' => 'cancel', 'meeting' => 'a']))->toContain('The meeting on 2026-01-06 is over')
        ->and(refusedDraft(tuesdays(), ['what' => 'focus', 'meeting' => 'x', 'words' => 'hips']))->toContain('no longer in the term');
});

test('a term keeps one meeting at least', function () {
    $one = array_map(fn (string $id) => ['what' => 'cancel', 'meeting' => $id], ['b', 'c', 'd']);
    $bare = new TermDraft('2026-01-05', '2026-02-06', '2026-01-05', [], [new DraftMeeting('b', '2026-01-13', '19:00', 60)]);
    expect(states(changed(tuesdays(), ...$one)))->toContain('e 2026-02-03 laid')
        ->and(refusedDraft($bare, ['what' => 'cancel', 'meeting' => 'b']))->not->toBe('nothing')
        ->and(refusedDraft($bare, ['what' => 'close', 'from' => '2026-01-01', 'to' => '2026-01-31']))->not->toBe('nothing');
});

test('a week that is closed cancels what is still to come in it, and no more', function () {
    $draft = changed(tuesdays(), ['what' => 'close', 'from' => '2026-01-05', 'to' => '2026-01-20', 'reason' => 'flu']);
    expect(states($draft))->toBe(['a 2026-01-06 laid', 'b 2026-01-13 cancelled', 'c 2026-01-20 cancelled', 'd 2026-01-27 laid', 'e 2026-02-03 laid'])
        ->and($draft->meeting('c')->reason)->toBe('flu')->and($draft->isClosed('2026-01-20'))->toBeTrue()->and($draft->isClosed('2026-01-21'))->toBeFalse();
    expect(refusedDraft($draft, ['what' => 'restore', 'meeting' => 'c']))->toContain('2026-01-20 is closed');
});

test('days outside the term close nothing, and are refused and not passed over', function () {
    expect(refusedDraft(tuesdays(), ['what' => 'close', 'from' => '2026-03-01', 'to' => '2026-03-07']))->toContain('2026-03-01 is not in the term')
        ->and(refusedDraft(tuesdays(), ['what' => 'close', 'from' => '2026-01-25', 'to' => '2026-01-20']))->toContain('2026-01-20');
});

test('a cancelled evening takes place after all where its day is still free', function () {
    $off = changed(tuesdays(), ['what' => 'cancel', 'meeting' => 'c', 'reason' => 'snow']);
    expect(states(changed($off, ['what' => 'restore', 'meeting' => 'c'])))->toBe(states(tuesdays()));
    $taken = changed($off, ['what' => 'add', 'id' => 'f', 'on' => '2026-01-20', 'at' => '19:30', 'minutes' => 45]);
    expect($taken->meeting('f')->state)->toBe(MeetingState::Added)->and(refusedDraft($taken, ['what' => 'restore', 'meeting' => 'c']))->toContain('There is another meeting on 2026-01-20 at 19:30');
});

test('a lesson is pinned to one evening only: put elsewhere it leaves where it was, and makes that evening free again', function () {
    $pin = fn (?string $meeting, int $number = 4) => ['what' => 'lesson', 'course' => 'long', 'number' => $number, 'meeting' => $meeting];
    $first = changed(tuesdays(), ['what' => 'nothing_new', 'meeting' => 'c'], $pin('c'));
    expect($first->meeting('c')->pins->lessons)->toBe(['long' => 4])->and($first->meeting('c')->pins->nothingNew)->toBeFalse();
    $then = changed($first, $pin('e'));
    expect($then->meeting('c')->pins->lessons)->toBe([])->and($then->meeting('e')->pins->lessons)->toBe(['long' => 4])
        ->and(changed($then, $pin(null))->meeting('e')->pins->isEmpty())->toBeTrue();
    // Another course is another order.
    expect(changed($then, ['what' => 'lesson', 'course' => 'short', 'number' => 1, 'meeting' => 'e'])->meeting('e')->pins->lessons)->toBe(['long' => 4, 'short' => 1]);
});

test('pinned lessons keep their order, and an evening that does not take place takes none', function () {
    $pin = fn (string $meeting, int $number) => ['what' => 'lesson', 'course' => 'long', 'number' => $number, 'meeting' => $meeting];
    $draft = changed(tuesdays(), $pin('d', 4));
    expect(refusedDraft($draft, $pin('d', 5)))->toContain('you put lesson 4 there')
        ->and(refusedDraft($draft, $pin('c', 5)))->toContain('The earliest evening for it is 2026-02-03')
        ->and(refusedDraft($draft, $pin('e', 3)))->toContain('cannot come after lesson 4')
        ->and(changed($draft, $pin('c', 3), $pin('e', 5))->meeting('e')->pins->lessons)->toBe(['long' => 5])
        ->and(refusedDraft(changed(tuesdays(), ['what' => 'cancel', 'meeting' => 'c']), $pin('c', 3)))->toContain('2026-01-20');
});

test('nothing new frees the lesson that was pinned there', function () {
    $draft = changed(tuesdays(), ['what' => 'lesson', 'course' => 'long', 'number' => 2, 'meeting' => 'b'], ['what' => 'nothing_new', 'meeting' => 'b']);
    expect($draft->meeting('b')->pins->lessons)->toBe([])->and($draft->meeting('b')->pins->nothingNew)->toBeTrue()
        ->and(changed($draft, ['what' => 'nothing_new', 'meeting' => 'b', 'is' => false])->meeting('b')->pins->isEmpty())->toBeTrue();
});

test('a passage is in or out of a review, never both', function () {
    $in = ['what' => 'review_in', 'meeting' => 'b', 'course' => 'long', 'entries' => ['e1', 'e2']];
    $out = ['what' => 'review_out', 'meeting' => 'b', 'course' => 'long', 'entries' => ['e2', 'e3']];
    $pins = changed(tuesdays(), $in, $out)->meeting('b')->pins;
    expect($pins->with)->toBe([])->and($pins->without)->toBe(['long' => ['e2', 'e3']]);
    $pins = changed(tuesdays(), $out, $in)->meeting('b')->pins;
    expect($pins->with)->toBe(['long' => [['e1', 'e2']]])->and($pins->without)->toBe(['long' => ['e3']]);
    $freed = changed(tuesdays(), $out, [...$out, 'is' => false]);
    expect($freed->meeting('b')->pins->isEmpty())->toBeTrue();
});

test('movements are picked for a review, all of them at once; none takes them back, and leaving one out takes out that one', function () {
    $pick = fn (string ...$entries): array => ['what' => 'review_picked', 'meeting' => 'b', 'course' => 'long', 'entries' => $entries];
    $out = ['what' => 'review_out', 'meeting' => 'b', 'course' => 'long', 'entries' => ['e3']];
    $picked = changed(tuesdays(), $out, $pick('e3', 'e1', 'e3'));
    expect($picked->meeting('b')->pins->picked)->toBe(['long' => ['e3', 'e1']])->and($picked->meeting('b')->pins->without)->toBe([])
        ->and(changed($picked, $pick('e2'))->meeting('b')->pins->picked)->toBe(['long' => ['e2']])
        ->and(changed($picked, $out)->meeting('b')->pins->picked)->toBe(['long' => ['e1']])
        ->and(changed($picked, $pick())->meeting('b')->pins->isEmpty())->toBeTrue();
});

test('boxes that are fixed fit into their evening, whichever of the two was said last', function () {
    $box = fn (string $box, ?int $minutes) => ['what' => 'box', 'meeting' => 'b', 'box' => $box, 'minutes' => $minutes];
    $draft = changed(tuesdays(), $box('new', 40), $box('close', 20));
    expect($draft->meeting('b')->pins->boxes)->toBe(['new' => 40, 'close' => 20])
        ->and(changed($draft, $box('new', null))->meeting('b')->pins->boxes)->toBe(['close' => 20])
        ->and(fn () => changed($draft, $box('settle', 1)))->toThrow(BoxesTooLong::class)
        ->and(fn () => changed($draft, ['what' => 'minutes', 'meeting' => 'b', 'minutes' => 59]))->toThrow(BoxesTooLong::class);
});

test('an extra meeting for a question goes to the middle of the widest gap to come, on an open day', function () {
    expect(tuesdays()->widestGap())->toBe('2026-01-16'); // all gaps are a week; the first to come, rounded down
    $gap = changed(tuesdays(), ['what' => 'cancel', 'meeting' => 'd']);
    expect($gap->widestGap())->toBe('2026-01-27');
    expect(changed($gap, ['what' => 'close', 'from' => '2026-01-26', 'to' => '2026-01-27'])->widestGap())->toBe('2026-01-25');
});
