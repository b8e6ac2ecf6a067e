<?php

declare(strict_types=1);

namespace Gorvan\Core\Calendar;

use DateTimeImmutable;
use DateTimeZone;

/**
 * Writes an iCalendar file (RFC 5545): lines end in CRLF and are folded at 75 octets, never inside a character (3.1); texts are
 * escaped (3.3.11). Instants are written in UTC, so that no daylight saving can move them.
 */
final class CalendarWriter
{
    private const PRODUCT = '-//Gorvan//Gorvan//EN';

    private const OCTETS = 75;

    /** @param  iterable<CalendarEvent>  $events */
    public static function write(string $name, iterable $events): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:'.self::PRODUCT, 'CALSCALE:GREGORIAN', 'METHOD:PUBLISH', 'NAME:'.self::escaped($name), 'X-WR-CALNAME:'.self::escaped($name)];
        foreach ($events as $event) {
            array_push($lines, ...self::event($event));
        }
        $lines[] = 'END:VCALENDAR';

        return implode('', array_map(self::folded(...), $lines));
    }

    /** @return list<string> */
    private static function event(CalendarEvent $event): array
    {
        return array_values(array_filter([
            'BEGIN:VEVENT',
            'UID:'.self::escaped($event->uid),
            'DTSTAMP:'.self::instant($event->changed),
            'LAST-MODIFIED:'.self::instant($event->changed),
            "SEQUENCE:$event->sequence",
            'DTSTART:'.self::instant($event->starts),
            'DTEND:'.self::instant($event->starts->setTimezone(new DateTimeZone('UTC'))->modify("+$event->minutes minutes")),
            'SUMMARY:'.self::escaped($event->summary),
            $event->description === '' ? null : 'DESCRIPTION:'.self::escaped($event->description),
            $event->location === '' ? null : 'LOCATION:'.self::escaped($event->location),
            'STATUS:'.($event->isCancelled ? 'CANCELLED' : 'CONFIRMED'),
            'END:VEVENT',
        ], static fn (?string $line): bool => $line !== null));
    }

    private static function instant(DateTimeImmutable $at): string
    {
        return $at->setTimezone(new DateTimeZone('UTC'))->format('Ymd\THis\Z');
    }

    private static function escaped(string $text): string
    {
        $plain = (string) preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', '', $text);

        return strtr(str_replace(["\r\n", "\r"], "\n", $plain), ['\\' => '\\\\', ';' => '\\;', ',' => '\\,', "\n" => '\\n']);
    }

    private static function folded(string $line): string
    {
        $folded = '';
        $length = 0;
        foreach (mb_str_split($line) as $character) {
            if ($length + strlen($character) > self::OCTETS) {
                $folded .= "\r\n ";
                $length = 1; // the space that says the line goes on
            }
            $folded .= $character;
            $length += strlen($character);
        }

        return "$folded\r\n";
    }
}
