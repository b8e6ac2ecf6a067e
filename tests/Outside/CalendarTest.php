<?php

declare(strict_types=1);

use Gorvan\Core\Calendar\CalendarEvent;
use Gorvan\Core\Calendar\CalendarWriter;
use Gorvan\Core\Calendar\ClosedDays;
use Gorvan\Core\Calendar\ClosuresReader;
use Gorvan\Core\Term\TermDates;
use Gorvan\Core\Term\TermReader;
use Tests\Outside\Reference;

test('a calendar read by another program has the same instants, zones, texts, changes and cancellations (source: ical.js on npm)', function () {
    $events = $texts = [];
    // Weekly evenings across both changes of the clock, and texts with everything that has to be escaped or folded.
    foreach (['Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe', 'UTC'] as $zone) {
        $dates = TermDates::of((new TermReader)->read(json_encode(['from' => '2026-02-20', 'to' => '2026-11-20', 'timezone' => $zone, 'pattern' => [['weekday' => 'Sun', 'at' => '02:30', 'minutes' => 75], ['weekday' => 'Thu', 'at' => '19:00', 'minutes' => 60]]])));
        $own = [];
        foreach ($dates->meetings as $at => $date) {
            $own[] = new CalendarEvent("m$at@gorvan.invalid", $at % 5, $date->starts, $date->minutes, new DateTimeImmutable('2026-01-01T10:00:00Z'), ['Lesson 3, lesson 4; more', 'Zwölf Bögen: 起势 und 收势 – eine lange Zeile, die gefaltet werden muss, damit niemand sie abschneidet', 'back\\slash'][$at % 3], $at % 2 === 0 ? "New: one\nReview: two, three" : '', 'Boat Hall; upstairs', $at % 7 === 0);
        }
        $events[] = $own;
        $texts[] = CalendarWriter::write("Évening, $zone", $own);
    }
    foreach (Reference::ask('calendar.mjs', $texts) as $n => $read) {
        expect($read['version'])->toBe('2.0')->and($read['events'])->toHaveCount(count($events[$n]));
        foreach ($read['events'] as $at => $event) {
            $is = $events[$n][$at];
            expect($event)->toBe(['uid' => $is->uid, 'sequence' => $is->sequence, 'starts' => $is->starts->getTimestamp(), 'ends' => $is->starts->getTimestamp() + 60 * $is->minutes, 'summary' => $is->summary, 'description' => $is->description, 'location' => $is->location, 'status' => $is->isCancelled ? 'CANCELLED' : 'CONFIRMED']);
        }
        foreach (explode("\r\n", $texts[$n]) as $line) {
            expect(strlen($line))->toBeLessThanOrEqual(75)->and(mb_check_encoding($line, 'UTF-8'))->toBeTrue();
        }
    }
});

test('closures are the days another program finds (source: ical.js on npm; the examples of RFC 5545, 3.8.5.3, from memory)', function () {
    $event = fn (string ...$lines) => "BEGIN:VEVENT\r\nUID:".md5(implode($lines))."\r\nDTSTAMP:20260101T000000Z\r\n".implode("\r\n", $lines)."\r\nSUMMARY:x\r\nEND:VEVENT\r\n";
    $files = array_map(fn (string $events) => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n{$events}END:VCALENDAR\r\n", [
        $event('DTSTART;VALUE=DATE:20260216', 'DTEND;VALUE=DATE:20260221'),
        $event('DTSTART;VALUE=DATE:20260401'),
        $event('DTSTART:20260902T090000', 'DTEND:20260902T170000', 'RRULE:FREQ=DAILY;COUNT=10'), // daily for ten occurrences
        $event('DTSTART:20260902T090000', 'DTEND:20260902T100000', 'RRULE:FREQ=DAILY;UNTIL=20261224T000000Z'), // until a day
        $event('DTSTART:20260902T090000', 'DTEND:20260902T100000', 'RRULE:FREQ=DAILY;INTERVAL=10;COUNT=5'), // every ten days
        $event('DTSTART:20260902T090000', 'DTEND:20260902T100000', 'RRULE:FREQ=WEEKLY;COUNT=10'), // weekly
        $event('DTSTART:20260902T090000', 'DTEND:20260902T100000', 'RRULE:FREQ=WEEKLY;INTERVAL=2;WKST=SU'), // every other week, for ever
        $event('DTSTART;VALUE=DATE:20260131', 'RRULE:FREQ=MONTHLY;COUNT=7'), // months without a 31st are left out
        $event('DTSTART;VALUE=DATE:20201224', 'DTEND;VALUE=DATE:20201227', 'RRULE:FREQ=YEARLY'),
        $event('DTSTART:20261230T220000', 'DTEND:20270102T000000'),
        $event('DTSTART;VALUE=DATE:20260105', 'RRULE:FREQ=WEEKLY;COUNT=5', 'EXDATE;VALUE=DATE:20260112,20260126'),
    ]);
    $asked = array_map(fn (string $text) => ['text' => $text, 'from' => '2026-01-01', 'to' => '2026-12-31'], $files);
    foreach (Reference::ask('occurrences.mjs', $asked) as $at => $days) {
        $read = ClosuresReader::read($files[$at], '2026-01-01', '2026-12-31');
        expect(array_map(fn (ClosedDays $one) => [$one->from, $one->to], $read->days))->toBe($days, "file $at")->and($read->warnings)->toBe([]);
    }
    // A day that a year does not have is left out (RFC 5545, 3.3.10, from memory); the library moves it on.
    $leap = ClosuresReader::read("BEGIN:VCALENDAR\r\n".$event('DTSTART;VALUE=DATE:20240229', 'RRULE:FREQ=YEARLY;COUNT=3')."END:VCALENDAR\r\n", '2024-01-01', '2033-12-31');
    expect(array_map(fn (ClosedDays $one) => $one->from, $leap->days))->toBe(['2024-02-29', '2028-02-29', '2032-02-29']);
});
