<?php

declare(strict_types=1);

use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\NextTerm;
use Gorvan\Core\Term\Weekday;
use Gorvan\Core\Term\WeeklyMeeting;

$evenings = [new WeeklyMeeting(Weekday::Monday, '18:30', 60), new WeeklyMeeting(Weekday::Friday, '07:00', 45)];

test('the first term of a group is twelve whole weeks of one evening', function () {
    $first = NextTerm::first('2026-01-06');
    expect([$first->from, $first->to, count($first->pattern), $first->approach])->toBe(['2026-01-06', '2026-03-30', 1, Approach::PieceByPiece]);
});

test('the next goes on the day after, for as many days, on the same evenings, the same way', function () use ($evenings) {
    $next = NextTerm::after('2026-01-05', '2026-03-29', $evenings, Approach::OutlineFirst, '2026-02-01');
    expect([$next->from, $next->to, $next->pattern, $next->approach])->toBe(['2026-03-30', '2026-06-21', $evenings, Approach::OutlineFirst]);
    // Across the end of February of a leap year, and over a night on which clocks change.
    expect(NextTerm::after('2027-11-30', '2028-02-28', $evenings, Approach::OutlineFirst, '2027-12-01')->to)->toBe('2028-05-29');
});

test('nothing begins in the past, and a term of one day is followed by one of one day', function () use ($evenings) {
    $late = NextTerm::after('2025-01-05', '2025-03-29', $evenings, Approach::PieceByPiece, '2026-09-01');
    expect([$late->from, $late->to])->toBe(['2026-09-01', '2026-11-23']);
    $day = NextTerm::after('2026-01-05', '2026-01-05', [], Approach::PieceByPiece, '2026-01-01');
    expect([$day->from, $day->to, count($day->pattern)])->toBe(['2026-01-06', '2026-01-06', 1]);
});

test('it is the turn of a group without a term, else of the one whose term ends first', function () {
    expect(NextTerm::turn([]))->toBeNull()
        ->and(NextTerm::turn(['a' => '2026-05-01', 'b' => null, 'c' => null]))->toBe('b')
        ->and(NextTerm::turn(['a' => '2026-05-01', 'b' => '2026-04-01', 'c' => '2026-04-01']))->toBe('b')
        ->and(NextTerm::turn(['7' => '2026-05-01']))->toBe('7');
});
