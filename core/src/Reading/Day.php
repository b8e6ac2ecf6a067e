<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use DateTimeImmutable;
use DateTimeZone;

/**
 * Calendar days as whole numbers, so that loops subtract instead of making dates: 0 is 1970-01-01. Proleptic Gregorian
 * calendar; the count of days follows the usual arithmetic of a year that begins in March.
 */
final class Day
{
    /** @param  string  $day `Y-m-d` */
    public static function number(string $day): int
    {
        [$year, $month, $date] = [(int) substr($day, 0, 4), (int) substr($day, 5, 2), (int) substr($day, 8, 2)];
        $year -= $month <= 2 ? 1 : 0;
        $era = intdiv($year, 400);
        $ofEra = $year - $era * 400;
        $ofYear = intdiv(153 * ($month + ($month > 2 ? -3 : 9)) + 2, 5) + $date - 1;

        return $era * 146097 + $ofEra * 365 + intdiv($ofEra, 4) - intdiv($ofEra, 100) + $ofYear - 719468;
    }

    /** `Y-m-d` of a day from year 1 on. */
    public static function text(int $number): string
    {
        $shifted = $number + 719468;
        $era = intdiv($shifted, 146097);
        $ofEra = $shifted - $era * 146097;
        $yearOfEra = intdiv($ofEra - intdiv($ofEra, 1460) + intdiv($ofEra, 36524) - intdiv($ofEra, 146096), 365);
        $ofYear = $ofEra - (365 * $yearOfEra + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100));
        $march = intdiv(5 * $ofYear + 2, 153);
        $month = $march + ($march < 10 ? 3 : -9);

        return sprintf('%04d-%02d-%02d', $yearOfEra + $era * 400 + ($month <= 2 ? 1 : 0), $month, $ofYear - intdiv(153 * $march + 2, 5) + 1);
    }

    /** The week of a day, Monday to Sunday, as a whole number. @param  string  $day `Y-m-d` */
    public static function week(string $day): int
    {
        return (int) floor((self::number($day) + 3) / 7);
    }

    /** The day an instant falls on, where a school is. */
    public static function of(DateTimeImmutable $at, DateTimeZone $zone): int
    {
        return self::number($at->setTimezone($zone)->format('Y-m-d'));
    }
}
