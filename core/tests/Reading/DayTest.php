<?php

declare(strict_types=1);

use Gorvan\Core\Reading\Day;

test('days are counted as the calendar counts them', function () {
    $start = new DateTimeImmutable('1890-01-01', new DateTimeZone('UTC'));
    for ($day = 0; $day < 90000; $day += 7) {
        $text = $start->modify("+$day days")->format('Y-m-d');
        expect(Day::number($text))->toBe($day - 29219)->and(Day::text($day - 29219))->toBe($text);
    }
    expect(Day::number('1970-01-01'))->toBe(0)->and(Day::number('2000-02-29'))->toBe(11016)->and(Day::text(Day::number('2100-03-01')))->toBe('2100-03-01');
});

test('a day is a day where the school is', function () {
    $late = new DateTimeImmutable('2026-01-06T23:30:00Z');
    expect(Day::text(Day::of($late, new DateTimeZone('Europe/Berlin'))))->toBe('2026-01-07')
        ->and(Day::text(Day::of($late, new DateTimeZone('America/Lima'))))->toBe('2026-01-06');
});
