<?php

declare(strict_types=1);

namespace Gorvan\Core\Calendar;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Malformed;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\TooMany;

/**
 * Reads holidays and closures out of an iCalendar file (RFC 5545): the days of its events within a term. Of a repetition it
 * understands days, weeks, months and years with an interval, a count or an end; what else a rule says is left out and said. How
 * much is unrolled is bounded.
 */
final readonly class ClosuresReader
{
    private const MOST_EVENTS = 2000;

    private const MOST_DAYS = 400;

    /** How often one rule is followed, at most. */
    private const MOST_TURNS = 4000;

    /**
     * @param  list<ClosedDays>  $days
     * @param  list<Message>  $warnings
     */
    private function __construct(public array $days, public array $warnings)
    {
    }

    /**
     * @param  string  $from  first and last day of the term, `Y-m-d`
     *
     * @throws \Gorvan\Core\Reading\BadInput with the line
     */
    public static function read(string $text, string $from, string $to): self
    {
        $events = self::events($text);
        [$first, $last] = [Day::number($from), Day::number($to)];
        $days = $warnings = [];
        foreach ($events as $event) {
            foreach (self::starts($event, $first, $last, $warnings) as $start) {
                $end = $start + $event['days'] - 1;
                if ($end >= $first && $start <= $last) {
                    $days[] = new ClosedDays(Day::text(max($start, $first)), Day::text(min($end, $last)), $event['title']);
                }
                if (count($days) > self::MOST_DAYS) {
                    $warnings[] = Message::of('calendar.too_many', most: self::MOST_DAYS);
                    break 2;
                }
            }
        }
        $days = array_slice($days, 0, self::MOST_DAYS);
        usort($days, static fn (ClosedDays $a, ClosedDays $b): int => [$a->from, $a->to] <=> [$b->from, $b->to]);

        return new self($days, $warnings);
    }

    /** @return list<array{start: int, time: string, days: int, title: string, rule: string|null, except: list<int>, line: int}> */
    private static function events(string $text): array
    {
        /** @var list<array{start: int, time: string, days: int, title: string, rule: string|null, except: list<int>, line: int}> $events */
        $events = [];
        $open = null;
        $isCalendar = false;
        foreach (self::lines($text) as $number => $line) {
            if (! $isCalendar) {
                if (strtoupper($line) !== 'BEGIN:VCALENDAR') {
                    throw Malformed::text((string) $number, 'calendar', mb_substr($line, 0, 40));
                }
                $isCalendar = true;

                continue;
            }
            $plain = strtoupper($line);
            if ($plain === 'BEGIN:VEVENT') {
                $open = ['start' => null, 'time' => '', 'end' => null, 'title' => '', 'rule' => null, 'except' => [], 'cancelled' => false, 'line' => $number];
            } elseif ($plain === 'END:VEVENT' && $open !== null) {
                if ($open['start'] === null) {
                    throw Malformed::text((string) $open['line'], 'event', 'DTSTART');
                }
                // An end is the first day that is no longer part of it (3.6.1); without one it is one day.
                $end = max($open['start'] + 1, $open['end'] ?? $open['start'] + 1);
                if (! $open['cancelled']) {
                    $events[] = ['start' => $open['start'], 'time' => $open['time'], 'days' => $end - $open['start'], 'title' => $open['title'], 'rule' => $open['rule'], 'except' => $open['except'], 'line' => $open['line']];
                }
                $open = null;
            } elseif ($open !== null) {
                $open = self::property($open, $line, $number);
            }
        }
        if (! $isCalendar) {
            throw Malformed::text('1', 'calendar', '');
        }
        if (count($events) > self::MOST_EVENTS) {
            throw TooMany::items('', 'events', self::MOST_EVENTS);
        }

        return $events;
    }

    /**
     * @param  array{start: int|null, time: string, end: int|null, title: string, rule: string|null, except: list<int>, cancelled: bool, line: int}  $open
     * @return array{start: int|null, time: string, end: int|null, title: string, rule: string|null, except: list<int>, cancelled: bool, line: int}
     */
    private static function property(array $open, string $line, int $number): array
    {
        if (preg_match('/^([A-Za-z-]+)((?:;[^:"]*(?:"[^"]*"[^:"]*)*)?):(.*)$/Ds', $line, $found) !== 1) {
            return $open;
        }
        [, $name, , $value] = $found;
        switch (strtoupper($name)) {
            case 'DTSTART':
                $open['start'] = self::day($value, $number);
                $open['time'] = self::time($value);
                break;
            case 'DTEND':
                // An end at a time of day is on its day, and an end at midnight on the one before.
                $isTime = preg_match('/T(?!000000)/', $value) === 1;
                $open['end'] = self::day($value, $number) + ($isTime ? 1 : 0);
                break;
            case 'SUMMARY':
                $open['title'] = mb_substr(strtr($value, ['\\n' => ' ', '\\N' => ' ', '\\,' => ',', '\\;' => ';', '\\\\' => '\\']), 0, 120);
                break;
            case 'RRULE':
                $open['rule'] = strtoupper($value);
                break;
            case 'EXDATE':
                foreach (explode(',', $value) as $one) {
                    $open['except'][] = self::day($one, $number);
                }
                break;
            case 'STATUS':
                $open['cancelled'] = strtoupper($value) === 'CANCELLED';
                break;
        }

        return $open;
    }

    /** The last day a rule reaches: one that ends before the time of day at which the event begins does not reach its own. */
    private static function until(string $value, string $time, int $line): int
    {
        $end = self::time($value);

        return self::day($value, $line) - ($end !== '' && $time !== '' && $end < $time ? 1 : 0);
    }

    /** `HHMMSS`, empty for a whole day. */
    private static function time(string $value): string
    {
        return preg_match('/T(\d{6})/', $value, $found) === 1 ? $found[1] : '';
    }

    private static function day(string $value, int $number): int
    {
        if (preg_match('/^(\d{4})(\d{2})(\d{2})(?:T\d{6}Z?)?$/D', $value, $found) !== 1 || ! checkdate((int) $found[2], (int) $found[3], (int) $found[1])) {
            throw Malformed::text((string) $number, 'day', $value);
        }

        return Day::number("$found[1]-$found[2]-$found[3]");
    }

    /**
     * @param  array{start: int, time: string, days: int, title: string, rule: string|null, except: list<int>, line: int}  $event
     * @param  list<Message>  $warnings
     * @return list<int>
     */
    private static function starts(array $event, int $first, int $last, array &$warnings): array
    {
        if ($event['rule'] === null) {
            return [$event['start']];
        }
        $rule = [];
        foreach (explode(';', $event['rule']) as $part) {
            [$key, $value] = [...explode('=', $part, 2), ''];
            $rule[$key] = $value;
        }
        $step = max(1, (int) ($rule['INTERVAL'] ?? 1));
        $isKnown = in_array($rule['FREQ'] ?? '', ['DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'], true) && array_diff(array_keys($rule), ['FREQ', 'INTERVAL', 'COUNT', 'UNTIL', 'WKST']) === [];
        if (! $isKnown) {
            $warnings[] = Message::of('calendar.rule', title: $event['title'], line: $event['line']);

            return [$event['start']];
        }
        $count = isset($rule['COUNT']) ? max(1, (int) $rule['COUNT']) : PHP_INT_MAX;
        $until = isset($rule['UNTIL']) ? self::until($rule['UNTIL'], $event['time'], $event['line']) : $last;
        $starts = [];
        // A month without that day is no occurrence, and is not counted as one (3.3.10).
        for ($turn = $found = 0; $turn < self::MOST_TURNS && $found < $count; $turn++) {
            $start = self::turned($event['start'], $rule['FREQ'], $turn * $step);
            if ($start === null) {
                continue;
            }
            $found++;
            if ($start > $until || $start > $last) {
                break;
            }
            if ($start + $event['days'] > $first && ! in_array($start, $event['except'], true)) {
                $starts[] = $start;
            }
        }

        return $starts;
    }

    /** A day so many days, weeks, months or years on; null where that month has no such day (3.3.10). */
    private static function turned(int $day, string $every, int $times): ?int
    {
        if ($every === 'DAILY' || $every === 'WEEKLY') {
            return $day + $times * ($every === 'DAILY' ? 1 : 7);
        }
        [$year, $month, $date] = array_map(intval(...), explode('-', Day::text($day)));
        $months = $year * 12 + $month - 1 + $times * ($every === 'MONTHLY' ? 1 : 12);
        [$year, $month] = [intdiv($months, 12), $months % 12 + 1];

        return checkdate($month, $date, min(9999, $year)) && $year <= 9999 ? Day::number(sprintf('%04d-%02d-%02d', $year, $month, $date)) : null;
    }

    /** @return iterable<int, string> unfolded lines by the number of their first, from 1; empty ones are not among them */
    private static function lines(string $text): iterable
    {
        $open = null;
        $at = 0;
        foreach (preg_split('/\r\n|\n|\r/', (string) preg_replace('/^\xEF\xBB\xBF/', '', $text)) ?: [] as $number => $line) {
            if ($open !== null && $line !== '' && ($line[0] === ' ' || $line[0] === "\t")) {
                $open .= substr($line, 1);

                continue;
            }
            if ($open !== null && trim($open) !== '') {
                yield $at => $open;
            }
            [$open, $at] = [$line, $number + 1];
        }
        if ($open !== null && trim($open) !== '') {
            yield $at => $open;
        }
    }
}
