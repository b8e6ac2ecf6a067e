<?php

declare(strict_types=1);

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Term\MeetingDate;
use Gorvan\Core\Term\TermDates;
use Gorvan\Core\Term\TermReader;
use Tests\Outside\Reference;

test('the meetings of 200 random terms are those of rrule and luxon, across changing days (source: rrule and luxon on npm; RFC 5545)', function () {
    mt_srand(31);
    $pick = fn (array $from): mixed => $from[mt_rand(0, count($from) - 1)];
    $day = fn (string $from, int $days): string => (new DateTimeImmutable($from, new DateTimeZone('UTC')))->modify("+$days days")->format('Y-m-d');
    $terms = $own = [];
    $changes = 0;
    while (count($terms) < 200) {
        $from = $day('2025-01-01', mt_rand(0, 900));
        $pattern = [];
        foreach (array_rand(array_flip(['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']), mt_rand(2, 4)) as $weekday) {
            $pattern[] = ['weekday' => $weekday, 'at' => $pick(['19:00', '02:30', '02:00', '01:30', '00:15', '10:45', '23:59']), 'minutes' => mt_rand(30, 90)];
        }
        $closures = [];
        for ($at = mt_rand(0, 2); $at > 0; $at--) {
            $closed = $day($from, mt_rand(0, 200));
            $closures[] = ['from' => $closed, 'to' => $day($closed, mt_rand(0, 20))];
        }
        $term = ['from' => $from, 'to' => $day($from, mt_rand(20, 300)), 'timezone' => $pick(['Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Tokyo', 'Africa/Casablanca']), 'pattern' => $pattern, 'closures' => $closures];
        try {
            $dates = TermDates::of((new TermReader)->read(json_encode($term, JSON_THROW_ON_ERROR)));
        } catch (BadInput) {
            continue; // no meeting at all, or two at one instant: told elsewhere
        }
        $changes += count(array_filter($dates->warnings, fn ($warning): bool => $warning->code === 'dates.clock_change'));
        $terms[] = $term;
        $own[] = array_map(fn (MeetingDate $date): array => ['on' => $date->on, 'instant' => $date->starts->getTimestamp(), 'minutes' => $date->minutes], $dates->meetings);
    }
    expect(Reference::ask('dates.mjs', $terms))->toEqual($own)
        ->and($changes)->toBeGreaterThan(3);
});
