<?php

declare(strict_types=1);

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Record\RecordReader;
use Gorvan\Core\Tests\Said;

test('the events file is read strictly and says where', function (string $event, string $place, string $says) {
    try {
        (new RecordReader)->read('{"timezone":"Europe/Berlin","events":[{"id":"0","entry":"a","at":"2026-01-06T19:00:00Z","kind":"taught"},'.$event.']}');
    } catch (BadInput $e) {
        expect($e->place)->toBe($place)->and(Said::of($e->reason))->toContain($says);

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

test('an event counts for the day it has in the file’s zone', function () {
    $read = (new RecordReader)->read('{"timezone":"Europe/Berlin","events":[{"id":"0","entry":"a","at":"2026-01-06T23:30:00Z","kind":"taught"}]}');
    expect($read->record->until(Day::number('2026-01-06')))->toBe([])->and($read->record->until(Day::number('2026-01-07')))->toHaveKey('a');
});

test('a side is read where entries may have sides, and refused where this one has none', function () {
    $events = JsonNode::parse('[{"id":"1","entry":"a","at":"2026-01-06T19:00:00Z","kind":"mark","support":"Alone","side":"left"}]');
    $zone = new DateTimeZone('UTC');
    [$record, $warnings] = (new RecordReader)->events($events, $zone, fn (): bool => true);
    expect($record->until(PHP_INT_MAX)['a'][0]->side?->value)->toBe('left')->and($warnings)->toBe([])
        ->and(Said::all((new RecordReader)->events($events, $zone)[1]))->toContain('"side" is not known here')
        ->and(fn () => (new RecordReader)->events($events, $zone, fn (): bool => false))->toThrow(BadInput::class, '$[0].side');
});
