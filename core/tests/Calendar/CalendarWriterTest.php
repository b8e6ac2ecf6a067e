<?php

declare(strict_types=1);

use Gorvan\Core\Calendar\CalendarEvent;
use Gorvan\Core\Calendar\CalendarWriter;

function told(array $change = []): CalendarEvent
{
    return new CalendarEvent(...[...[
        'uid' => 'm1@gorvan', 'sequence' => 0, 'starts' => new DateTimeImmutable('2026-01-13T19:00:00+01:00'), 'minutes' => 75,
        'changed' => new DateTimeImmutable('2026-01-02T10:00:00+01:00'), 'summary' => 'Evening',
    ], ...$change]);
}

/** @return list<string> the lines as they stand in the file, folded */
function physical(string $calendar): array
{
    expect($calendar)->toEndWith("\r\n")->and(preg_match('/(?<!\r)\n|\r(?!\n)/', $calendar))->toBe(0);

    return explode("\r\n", rtrim($calendar, "\r\n"));
}

/** The value of a property after unfolding (RFC 5545, 3.1), still escaped. */
function valueOf(string $name, string $calendar): ?string
{
    return preg_match("/^$name:(.*)$/m", str_replace("\r", '', str_replace("\r\n ", '', $calendar)), $found) === 1 ? $found[1] : null;
}

test('an instant is written in UTC, on either side of a change of the clock', function (string $starts, int $minutes, string $from, string $to) {
    $calendar = CalendarWriter::write('T', [told(['starts' => new DateTimeImmutable($starts), 'minutes' => $minutes])]);
    expect(valueOf('DTSTART', $calendar))->toBe($from)->and(valueOf('DTEND', $calendar))->toBe($to);
})->with([
    'winter' => ['2026-01-13T19:00:00+01:00', 75, '20260113T180000Z', '20260113T191500Z'],
    'summer' => ['2026-07-14T19:00:00+02:00', 75, '20260714T170000Z', '20260714T181500Z'],
    'over the hour that is there twice' => ['2026-10-25T01:30:00+02:00', 120, '20261024T233000Z', '20261025T013000Z'],
    'into the next day' => ['2026-01-13T23:30:00+00:00', 60, '20260113T233000Z', '20260114T003000Z'],
]);

test('an event in a zone lasts its minutes over the change of the clock, and not an hour more', function () {
    $starts = new DateTimeImmutable('2026-10-25 01:30', new DateTimeZone('Europe/Berlin'));
    expect(valueOf('DTEND', CalendarWriter::write('T', [told(['starts' => $starts, 'minutes' => 120])])))->toBe('20261025T013000Z');
});

test('no line is longer than 75 octets, none is broken inside a character, and unfolded it is what it was', function (string $text) {
    $calendar = CalendarWriter::write('T', [told(['summary' => $text])]);
    foreach (physical($calendar) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75)->and(mb_check_encoding($line, 'UTF-8'))->toBeTrue();
    }
    expect(valueOf('SUMMARY', $calendar))->toBe($text);
})->with([
    'to the octet' => [str_repeat('a', 75 - strlen('SUMMARY:'))],
    'one more' => [str_repeat('a', 76 - strlen('SUMMARY:'))],
    'two octets a letter' => [str_repeat('ü', 200)],
    'three' => ['a'.str_repeat('起势', 90)],
    'four' => ['ab'.str_repeat('🀄', 60)],
    'nothing' => [''],
]);

test('what has a meaning of its own is escaped, and what cannot stand in a text is left out', function () {
    $calendar = CalendarWriter::write('A; B', [told(['summary' => "Old, new; C:\\dir\r\nBEGIN:VEVENT\x00\x07", 'description' => "one\rtwo", 'location' => 'Loft'])]);
    expect(valueOf('SUMMARY', $calendar))->toBe('Old\\, new\\; C:\\\\dir\\nBEGIN:VEVENT')
        ->and(valueOf('DESCRIPTION', $calendar))->toBe('one\\ntwo')->and(valueOf('LOCATION', $calendar))->toBe('Loft')
        ->and(valueOf('X-WR-CALNAME', $calendar))->toBe('A\\; B')
        ->and(array_filter(physical($calendar), fn (string $line) => $line === 'BEGIN:VEVENT'))->toHaveCount(1);
});

test('a change and a cancellation keep the name of the event and count up', function () {
    $calendar = CalendarWriter::write('T', [told(['sequence' => 3, 'isCancelled' => true])]);
    expect(valueOf('UID', $calendar))->toBe('m1@gorvan')->and(valueOf('SEQUENCE', $calendar))->toBe('3')->and(valueOf('STATUS', $calendar))->toBe('CANCELLED')
        ->and(valueOf('DESCRIPTION', $calendar))->toBeNull()->and(valueOf('LOCATION', $calendar))->toBeNull()
        ->and(valueOf('STATUS', CalendarWriter::write('T', [told()])))->toBe('CONFIRMED');
});

test('a calendar with nothing in it is one all the same', function () {
    $lines = physical(CalendarWriter::write('T', []));
    expect([$lines[0], $lines[1], $lines[count($lines) - 1]])->toBe(['BEGIN:VCALENDAR', 'VERSION:2.0', 'END:VCALENDAR']);
});
