<?php

declare(strict_types=1);

use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\Fact;
use Gorvan\Core\Memory\RecordFault;
use Gorvan\Core\Memory\RecordReader;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Memory\Support;
use Gorvan\Core\Reading\BadInput;

function on(string $day, Fact ...$facts): array
{
    return (new Replay(new DateTimeZone('Europe/Berlin')))->on($facts, $day);
}

function at(string $instant): DateTimeImmutable
{
    return new DateTimeImmutable($instant);
}

test('a replay in any arrival order gives the same standing', function () {
    $facts = [
        Fact::taught('1', 'a', at('2026-01-06T20:00:00+01:00')),
        Fact::mark('2', 'a', at('2026-01-13T19:30:00+01:00'), Support::Cued),
        Fact::practice('3', 'a', at('2026-01-20T20:00:00+01:00')),
        Fact::mark('4', 'a', at('2026-01-27T19:30:00+01:00'), Support::Alone),
        Fact::withdraw('5', '2', at('2026-01-13T19:31:00+01:00')),
    ];
    $straight = on('2026-02-01', ...$facts);
    mt_srand(7);
    for ($round = 0; $round < 20; $round++) {
        usort($facts, fn () => mt_rand(-1, 1));
        expect(on('2026-02-01', ...$facts))->toEqual($straight);
    }
    expect($straight['a'])->support->toBe(Support::Alone)->updates->toBe(3)->last->toBe('2026-01-27');
});

test('there is one update a day: a mark beats contact, the last mark wins, taught beats practice', function () {
    $day = fn (string $time) => at("2026-01-06T$time+01:00");
    $mark = on('2026-01-06', Fact::mark('1', 'a', $day('19:00:00'), Support::Alone), Fact::taught('2', 'a', $day('20:00:00')));
    $last = on('2026-01-06', Fact::mark('1', 'a', $day('19:00:00'), Support::Alone), Fact::mark('0', 'a', $day('19:05:00'), Support::Following));
    $tie = on('2026-01-06', Fact::mark('2', 'a', $day('19:00:00'), Support::Cued), Fact::mark('10', 'a', $day('19:00:00'), Support::Alone));
    $taught = on('2026-01-13', Fact::practice('1', 'a', $day('21:00:00')), Fact::taught('2', 'a', $day('19:00:00')));
    expect($mark['a'])->support->toBe(Support::Alone)->updates->toBe(1)
        ->and($last['a']->support)->toBe(Support::Following)
        ->and($tie['a']->support)->toBe(Support::Cued)
        ->and($taught['a']->recall)->toEqualWithDelta(0.665, 5e-4);
});

test('a day is a day in the school’s zone', function () {
    $late = Fact::mark('1', 'a', at('2026-01-06T23:30:00Z'), Support::Alone); // 7 January in Berlin
    expect(on('2026-01-06', $late))->toBe([])->and(on('2026-01-07', $late)['a']->last)->toBe('2026-01-07');
});

test('facts after the day are ignored, withdrawals too', function () {
    $facts = [Fact::mark('1', 'a', at('2026-01-06T19:00:00Z'), Support::Alone), Fact::withdraw('2', '1', at('2026-01-08T19:00:00Z'))];
    expect(on('2026-01-07', ...$facts))->toHaveKey('a')->and(on('2026-01-08', ...$facts))->toBe([]);
});

test('a withdrawal can be withdrawn, wherever the instants stand', function () {
    $mark = Fact::mark('1', 'a', at('2026-01-06T19:00:00Z'), Support::Alone);
    $back = Fact::withdraw('2', '1', at('2026-01-01T19:00:00Z'));
    $again = Fact::withdraw('3', '2', at('2026-01-02T19:00:00Z'));
    expect(on('2026-02-01', $back, $mark))->toBe([])->and(on('2026-02-01', $again, $back, $mark))->toHaveKey('a');
});

test('Unmet changes support only', function () {
    $unmet = Fact::mark('1', 'a', at('2026-01-06T19:00:00Z'), Support::Unmet);
    expect(on('2026-01-07', $unmet)['a'])->support->toBe(Support::Unmet)->recall->toBeNull()->updates->toBe(0);
    $later = on('2026-01-20', Fact::mark('0', 'a', at('2026-01-01T19:00:00Z'), Support::Alone), $unmet)['a'];
    expect($later)->support->toBe(Support::Unmet)->updates->toBe(1)->last->toBe('2026-01-01');
});

test('the same fact twice is nothing, with other content it is refused', function () {
    $one = Fact::mark('1', 'a', at('2026-01-06T20:00:00+01:00'), Support::Alone);
    $same = Fact::mark('1', 'a', at('2026-01-06T19:00:00Z'), Support::Alone);
    expect(on('2026-01-07', $one, $same)['a']->updates)->toBe(1);
    on('2026-01-07', $one, Fact::mark('1', 'b', at('2026-01-06T19:00:00Z'), Support::Alone));
})->throws(RecordFault::class, 'different content');

test('withdrawing the unknown, or in a circle, is refused', function (array $facts, string $says) {
    expect(fn () => on('2026-02-01', ...$facts))->toThrow(RecordFault::class, $says);
})->with([
    [fn () => [Fact::withdraw('1', 'x', at('2026-01-06T19:00:00Z'))], 'not in the record'],
    [fn () => [Fact::withdraw('1', '2', at('2026-01-06T19:00:00Z')), Fact::withdraw('2', '1', at('2026-01-06T19:00:00Z'))], 'circle'],
]);

test('sides stand apart where a mark names one, and what names none counts for both', function () {
    $tracks = (new Replay(new DateTimeZone('UTC')))->tracksOn([
        Fact::taught('1', 'a', at('2026-01-06T19:00:00Z')),
        Fact::mark('2', 'a', at('2026-01-13T19:00:00Z'), Support::Alone, Side::Left),
        Fact::taught('3', 'b', at('2026-01-06T19:00:00Z')),
    ], '2026-01-20');
    expect(array_keys($tracks['a']))->toBe(['left', 'right'])
        ->and($tracks['a']['left']->support)->toBe(Support::Alone)
        ->and($tracks['a']['right'])->support->toBeNull()->updates->toBe(1)
        ->and(array_keys($tracks['b']))->toBe(['']);
});

test('the events file is read strictly and says where', function (string $event, string $place, string $says) {
    try {
        (new RecordReader)->read('{"timezone":"Europe/Berlin","events":[{"id":"0","entry":"a","at":"2026-01-06T19:00:00Z","kind":"taught"},'.$event.']}');
    } catch (BadInput $e) {
        expect($e->place)->toBe($place)->and($e->reason)->toContain($says);

        return;
    }
    $this->fail('It was accepted.');
})->with([
    ['{"id":"1","entry":"a","at":"2026-01-06T19:00:00","kind":"taught"}', '$.events[1].at', 'offset'],
    ['{"id":"1","entry":"a","at":"2026-02-30T19:00:00Z","kind":"taught"}', '$.events[1].at', 'not an instant'],
    ['{"id":"1","entry":"a","at":"2026-01-06T19:00:00Z","kind":"mark","support":"Great"}', '$.events[1].support', 'Unmet, Following'],
    ['{"id":"1","entry":"a","at":"2026-01-06T19:00:00Z","kind":"mark"}', '$.events[1]', '"support" is missing'],
    ['{"id":"1","at":"2026-01-06T19:00:00Z","kind":"withdraw","of":"9"}', '$.events[1]', 'not in the record'],
    ['{"id":"0","entry":"b","at":"2026-01-06T19:00:00Z","kind":"taught"}', '$.events[1]', 'different content'],
    ['{"id":1,"entry":"b","at":"2026-01-06T19:00:00Z","kind":"taught"}', '$.events[1].id', 'a text'],
]);
