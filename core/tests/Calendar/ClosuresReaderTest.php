<?php

declare(strict_types=1);

use Gorvan\Core\Calendar\ClosedDays;
use Gorvan\Core\Calendar\ClosuresReader;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;

/** A calendar of events, each a list of lines, read for the first half of 2026. */
function closures(array ...$events): ClosuresReader
{
    $lines = ['BEGIN:VCALENDAR'];
    foreach ($events as $event) {
        array_push($lines, 'BEGIN:VEVENT', ...$event);
        $lines[] = 'END:VEVENT';
    }

    return ClosuresReader::read(implode("\r\n", [...$lines, 'END:VCALENDAR', '']), '2026-01-01', '2026-06-30');
}

/** @return list<string> "from..to" */
function spans(ClosuresReader $read): array
{
    return array_map(fn (ClosedDays $one) => $one->from === $one->to ? $one->from : "$one->from..$one->to", $read->days);
}

test('a whole day, days to an end that is outside, and times of day', function (array $lines, array $spans) {
    expect(spans(closures($lines)))->toBe($spans);
})->with([
    'one day' => [['DTSTART;VALUE=DATE:20260216'], ['2026-02-16']],
    'the end is the first day after (RFC 5545, 3.6.1)' => [['DTSTART;VALUE=DATE:20260216', 'DTEND;VALUE=DATE:20260221'], ['2026-02-16..2026-02-20']],
    'an end before the start is one day' => [['DTSTART;VALUE=DATE:20260216', 'DTEND;VALUE=DATE:20260101'], ['2026-02-16']],
    'from an evening into the next morning' => [['DTSTART:20260216T200000', 'DTEND:20260217T080000'], ['2026-02-16..2026-02-17']],
    'to midnight' => [['DTSTART:20260216T200000', 'DTEND:20260217T000000'], ['2026-02-16']],
    'over the edges of the term' => [['DTSTART;VALUE=DATE:20251220', 'DTEND;VALUE=DATE:20260107'], ['2026-01-01..2026-01-06']],
    'over the other edge' => [['DTSTART;VALUE=DATE:20260629', 'DTEND;VALUE=DATE:20260901'], ['2026-06-29..2026-06-30']],
    'outside' => [['DTSTART;VALUE=DATE:20260701'], []],
    'off' => [['DTSTART;VALUE=DATE:20260216', 'STATUS:CANCELLED'], []],
    'with parameters in quotes' => [['DTSTART;X-NOTE="a;b:c";VALUE=DATE:20260216'], ['2026-02-16']],
    'a leap day' => [['DTSTART;VALUE=DATE:20240229', 'RRULE:FREQ=YEARLY;COUNT=9'], []],
]);

test('what repeats: interval, count, end, and days that are taken out', function (string $rule, array $spans) {
    expect(spans(closures(['DTSTART;VALUE=DATE:20260105', ...explode("\n", $rule)])))->toBe($spans);
})->with([
    'three weeks' => ['RRULE:FREQ=WEEKLY;COUNT=3', ['2026-01-05', '2026-01-12', '2026-01-19']],
    'every other day to an end that is inside' => ['RRULE:FREQ=DAILY;INTERVAL=2;UNTIL=20260109', ['2026-01-05', '2026-01-07', '2026-01-09']],
    'without one, and one that is not there' => ["RRULE:FREQ=WEEKLY;COUNT=3\nEXDATE;VALUE=DATE:20260112,20260113", ['2026-01-05', '2026-01-19']],
    'months' => ['RRULE:FREQ=MONTHLY;INTERVAL=2;UNTIL=20260601', ['2026-01-05', '2026-03-05', '2026-05-05']],
    'in small letters' => ['RRULE:freq=weekly;count=2', ['2026-01-05', '2026-01-12']],
    'an interval of nothing is one' => ['RRULE:FREQ=DAILY;INTERVAL=0;COUNT=2', ['2026-01-05', '2026-01-06']],
]);

test('a month without that day is passed over and not counted (RFC 5545, 3.3.10)', function () {
    expect(spans(closures(['DTSTART;VALUE=DATE:20260131', 'RRULE:FREQ=MONTHLY;COUNT=3'])))->toBe(['2026-01-31', '2026-03-31', '2026-05-31']);
});

test('a rule that is not understood is said with its line, and its first day is kept', function () {
    $read = closures(['SUMMARY:Rest\\, day', 'DTSTART;VALUE=DATE:20260105', 'RRULE:FREQ=MONTHLY;BYDAY=1MO']);
    expect(spans($read))->toBe(['2026-01-05'])->and(Said::all($read->warnings))->toContain('Rest, day')->toContain('2');
});

test('folded lines, other ends of lines, a mark at the beginning and lines that mean nothing here are read over', function () {
    $text = "\xEF\xBB\xBFBEGIN:VCALENDAR\nVERSION:2.0\nBEGIN:VTIMEZONE\nDTSTART:19700101T000000\nEND:VTIMEZONE\nBEGIN:VEVENT\nSUMMARY:Half\n -term\nDTSTART;VALUE=DATE:2026\n\t0216\nnonsense\n\nEND:VEVENT\nEND:VCALENDAR";
    $read = ClosuresReader::read($text, '2026-01-01', '2026-06-30');
    expect(spans($read))->toBe(['2026-02-16'])->and($read->days[0]->title)->toBe('Half-term')->and($read->warnings)->toBe([]);
});

test('closures come in the order of their days, whatever order the file has', function () {
    expect(spans(closures(['DTSTART;VALUE=DATE:20260601'], ['DTSTART;VALUE=DATE:20260216'], ['DTSTART;VALUE=DATE:20260105'])))->toBe(['2026-01-05', '2026-02-16', '2026-06-01']);
});

test('what is no calendar, and what is no day, is refused with its line and why', function (string $text, string $line, string $says) {
    try {
        ClosuresReader::read($text, '2026-01-01', '2026-06-30');
    } catch (BadInput $bad) {
        expect($bad->place)->toBe($line)->and(Said::of($bad->reason))->toContain($says);

        return;
    }
    throw new LogicException('It was read.');
})->with([
    'nothing' => ['', '1', 'does not begin with BEGIN:VCALENDAR'],
    'a page' => ["<html>\n", '1', 'does not begin with BEGIN:VCALENDAR'],
    'a page below empty lines' => ["\n\n<html>\n", '3', 'does not begin with BEGIN:VCALENDAR'],
    'no day' => ["BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20260230\r\nEND:VEVENT\r\nEND:VCALENDAR", '3', '"20260230" is not a day'],
    'an event without a start' => ["BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nSUMMARY:x\r\nEND:VEVENT\r\nEND:VCALENDAR", '2', 'has no DTSTART'],
]);

test('a bomb of repetitions is bounded, in time too, and said', function () {
    $bomb = array_fill(0, 60, ['DTSTART;VALUE=DATE:19000101', 'RRULE:FREQ=DAILY;COUNT=999999999']);
    $read = closures(...$bomb, ...array_fill(0, 60, ['DTSTART;VALUE=DATE:20260101', 'RRULE:FREQ=DAILY']));
    expect(count($read->days))->toBeLessThanOrEqual(400)->and(Said::all($read->warnings))->toContain('400');
});
