<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DateTimeImmutable;
use DateTimeZone;

/**
 * How a term begins before anybody has said otherwise: the first one of a group with twelve weeks of one evening
 * (*default*), every other where the one before it leaves off, on the same evenings, for as many days, the same way.
 */
final readonly class NextTerm
{
    private const WEEKS = 12;

    private const EVENING = ['19:00', 75];

    /**
     * @param  string  $from  `Y-m-d`
     * @param  string  $to  `Y-m-d`, the last day
     * @param  non-empty-list<WeeklyMeeting>  $pattern
     */
    private function __construct(public string $from, public string $to, public array $pattern, public Approach $approach)
    {
    }

    /** @param  string  $today  `Y-m-d` */
    public static function first(string $today): self
    {
        return new self($today, self::later($today, 7 * self::WEEKS - 1), [new WeeklyMeeting(Weekday::Tuesday, ...self::EVENING)], Approach::PieceByPiece);
    }

    /**
     * @param  string  $startsOn  the first day of the term before, `Y-m-d`
     * @param  string  $endsOn  its last day, `Y-m-d`
     * @param  list<WeeklyMeeting>  $pattern  its evenings
     * @param  string  $today  `Y-m-d`: no term begins before it
     */
    public static function after(string $startsOn, string $endsOn, array $pattern, Approach $approach, string $today): self
    {
        $from = max(self::later($endsOn, 1), $today);
        $days = (int) self::day($startsOn)->diff(self::day($endsOn))->days;

        return new self($from, self::later($from, $days), $pattern === [] ? self::first($today)->pattern : $pattern, $approach);
    }

    /**
     * The group whose turn it is: one without a term, in the order they are given, else the one whose last term ends first.
     *
     * @param  array<string, string|null>  $ends  the last day of each group's last term, `Y-m-d`, null for none
     * @return string|null the key of that group; null where there is none
     */
    public static function turn(array $ends): ?string
    {
        // Sorting is stable: of equals the first stays first.
        uasort($ends, static fn (?string $a, ?string $b): int => ($a ?? '') <=> ($b ?? ''));

        return array_key_first($ends) === null ? null : (string) array_key_first($ends);
    }

    private static function later(string $day, int $days): string
    {
        return self::day($day)->modify("+$days days")->format('Y-m-d');
    }

    private static function day(string $day): DateTimeImmutable
    {
        return new DateTimeImmutable($day, new DateTimeZone('UTC'));
    }
}
