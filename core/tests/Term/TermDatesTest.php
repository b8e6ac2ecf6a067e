<?php

declare(strict_types=1);

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Term\Closure;
use Gorvan\Core\Term\MeetingDate;
use Gorvan\Core\Term\TermDates;
use Gorvan\Core\Term\TermReader;
use Gorvan\Core\Term\Weekday;
use Gorvan\Core\Tests\Said;

function datesOf(array $change = []): TermDates
{
    return TermDates::of((new TermReader)->read(json_encode([
        'from' => '2026-01-05', 'to' => '2026-02-01', 'timezone' => 'Europe/Berlin',
        'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]], 'closures' => [], ...$change,
    ], JSON_THROW_ON_ERROR)));
}

function starts(TermDates $dates): array
{
    return array_map(fn (MeetingDate $date) => $date->starts->format(DATE_ATOM), $dates->meetings);
}

test('both ends of a term are inside it', function () {
    expect(starts(datesOf(['from' => '2026-01-06', 'to' => '2026-01-20'])))
        ->toBe(['2026-01-06T19:00:00+01:00', '2026-01-13T19:00:00+01:00', '2026-01-20T19:00:00+01:00']);
});

test('closures may overlap, and one outside closes nothing but is said', function () {
    $dates = datesOf(['closures' => [
        ['from' => '2026-01-12', 'to' => '2026-01-14'], ['from' => '2026-01-13', 'to' => '2026-01-20'], ['from' => '2025-01-01', 'to' => '2025-01-02'],
    ]]);
    expect(starts($dates))->toBe(['2026-01-06T19:00:00+01:00', '2026-01-27T19:00:00+01:00'])
        ->and($dates->warnings)->toHaveCount(1)
        ->and(Said::of($dates->warnings[0]))->toContain('2025-01-01 to 2025-01-02 lies outside');
});

test('keys that are not known are named in the warnings', function () {
    $dates = datesOf(['hall' => 2, 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60, 'mood' => 1]], 'closures' => [['from' => '2026-01-12', 'to' => '2026-01-14', 'why' => 'rest']]]);
    expect(array_map(Said::of(...), $dates->warnings))->toBe([
        '$: "hall" is not known here and changes nothing',
        '$.pattern[0]: "mood" is not known here and changes nothing',
        '$.closures[0]: "why" is not known here and changes nothing',
    ]);
});

test('two meetings a day are in the order of their instants', function () {
    $dates = datesOf(['to' => '2026-01-06', 'pattern' => [
        ['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60], ['weekday' => 'Tue', 'at' => '09:00', 'minutes' => 45],
    ]]);
    expect(array_map(fn ($date) => $date->minutes, $dates->meetings))->toBe([45, 60]);
});

test('a time that does not exist moves forward by the gap, with a warning (RFC 5545, 3.3.5)', function () {
    $dates = datesOf(['from' => '2026-03-29', 'to' => '2026-03-29', 'pattern' => [['weekday' => 'Sun', 'at' => '02:30', 'minutes' => 60]]]);
    expect(starts($dates))->toBe(['2026-03-29T03:30:00+02:00'])->and(Said::of($dates->warnings[0]))->toContain('2026-03-29');
});

test('a day that the zone leaves out moves on by the whole day, with a warning (common knowledge: Apia had no 30 December 2011)', function () {
    $dates = datesOf(['from' => '2011-12-30', 'to' => '2011-12-30', 'timezone' => 'Pacific/Apia', 'pattern' => [['weekday' => 'Fri', 'at' => '19:00', 'minutes' => 60]]]);
    expect(starts($dates))->toBe(['2011-12-31T19:00:00+14:00'])
        ->and($dates->meetings[0]->on)->toBe('2011-12-31')
        ->and(Said::of($dates->warnings[0]))->toContain('2011-12-30: 19:00 does not exist');
});

test('a time that exists twice is the first (RFC 5545, 3.3.5)', function () {
    expect(starts(datesOf(['from' => '2026-10-25', 'to' => '2026-10-25', 'pattern' => [['weekday' => 'Sun', 'at' => '02:30', 'minutes' => 60]]])))
        ->toBe(['2026-10-25T02:30:00+02:00']);
});

test('a term that cannot be is refused at its place', function (array $change, string $place, string $says) {
    try {
        datesOf($change);
    } catch (BadInput $e) {
        expect($e->place)->toBe($place)->and(Said::of($e->reason))->toContain($says);

        return;
    }
    $this->fail('It was accepted.');
})->with([
    'ends before it starts' => [['to' => '2026-01-01'], '$.to', 'before it starts'],
    'no such day' => [['from' => '2026-02-30'], '$.from', 'not a day'],
    'no meeting' => [['to' => '2026-01-05'], '$', 'no meeting'],
    'all closed' => [['closures' => [['from' => '2026-01-01', 'to' => '2026-03-01']]], '$', 'no meeting'],
    'no pattern' => [['pattern' => []], '$.pattern', 'at least one'],
    'weekday' => [['pattern' => [['weekday' => 'Die', 'at' => '19:00', 'minutes' => 60]]], '$.pattern[0].weekday', 'Mon, Tue'],
    'time' => [['pattern' => [['weekday' => 'Tue', 'at' => '24:00', 'minutes' => 60]]], '$.pattern[0].at', 'time of day'],
    'minutes' => [['pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 0]]], '$.pattern[0].minutes', 'between 1'],
    'same twice' => [['pattern' => array_fill(0, 2, ['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60])], '$.pattern[1]', 'twice'],
    'zone' => [['timezone' => 'Mars/Base'], '$.timezone', 'no time zone'],
    'closure backwards' => [['closures' => [['from' => '2026-01-14', 'to' => '2026-01-12']]], '$.closures[0]', 'before it starts'],
    'a century' => [['to' => '2126-01-01'], '$.to', 'ten years'],
]);

test('a closure takes away the days on which class would have been, and no others', function (string $from, string $to, array $days) {
    expect((new Closure($from, $to))->fallenOut([Weekday::Tuesday, Weekday::Sunday], '2026-10-11', '2026-12-20'))->toBe($days);
})->with([
    'a holiday of a week' => ['2026-10-31', '2026-11-07', ['2026-11-01', '2026-11-03']],
    'a single day' => ['2026-11-03', '2026-11-03', ['2026-11-03']],
    'a day without class' => ['2026-11-04', '2026-11-04', []],
    'what reaches over the end of the term' => ['2026-12-20', '2027-01-03', ['2026-12-20']],
    'what is before it' => ['2026-10-01', '2026-10-10', []],
]);
