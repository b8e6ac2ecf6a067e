<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DateInterval;
use DatePeriod;
use DateTimeImmutable;
use DateTimeZone;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\Repeated;

/**
 * The meetings of a term, by instant, with warnings about anything that was not as written.
 *
 * A local time that does not exist on the changing day moves forward by the gap; one that exists twice is the first
 * (source: RFC 5545, 3.3.5).
 */
final readonly class TermDates
{
    /**
     * @param  list<MeetingDate>  $meetings
     * @param  list<Message>  $warnings
     */
    private function __construct(public array $meetings, public array $warnings)
    {
    }

    /** @return list<int> minutes of the meetings */
    public function minutes(): array
    {
        return array_map(static fn (MeetingDate $date): int => $date->minutes, $this->meetings);
    }

    /** @throws BadInput when there is no meeting at all, or two would start at the same instant */
    public static function of(Term $term): self
    {
        $meetings = [];
        $warnings = [...$term->warnings, ...self::closuresOutside($term)];
        $utc = new DateTimeZone('UTC');
        $days = new DatePeriod(
            new DateTimeImmutable($term->from, $utc),
            new DateInterval('P1D'),
            new DateTimeImmutable($term->to, $utc),
            DatePeriod::INCLUDE_END_DATE,
        );
        foreach ($days as $date) {
            $day = $date->format('Y-m-d');
            if (self::isClosed($term, $day)) {
                continue;
            }
            foreach ($term->pattern as $row) {
                if ($date->format('D') !== $row->weekday->value) {
                    continue;
                }
                $starts = self::instant($day, $row->at, $term->zone);
                if ($starts->format('Y-m-d H:i') !== "$day $row->at") {
                    $warnings[] = Message::of('dates.clock_change', day: $day, at: $row->at, on: $starts->format('Y-m-d'), starts: $starts->format('H:i'));
                }
                $meetings[] = new MeetingDate($starts->format('Y-m-d'), $starts, $row->minutes);
            }
        }
        if ($meetings === []) {
            throw Missing::meeting($term->from, $term->to);
        }
        usort($meetings, static fn (MeetingDate $a, MeetingDate $b): int => $a->starts <=> $b->starts);
        self::refuseRepeats($meetings);

        return new self($meetings, $warnings);
    }

    /** The instant of a local time: the first of two, or moved forward by the gap where there is none. */
    public static function instant(string $day, string $at, DateTimeZone $zone): DateTimeImmutable
    {
        $local = new DateTimeImmutable("$day $at", new DateTimeZone('UTC'));
        $offset = static fn (DateTimeImmutable $instant): int => $zone->getOffset($instant);
        $before = $offset($local->modify('-1 day'));
        foreach ([$before, $offset($local->modify('+1 day'))] as $seconds) {
            $instant = $local->modify(sprintf('%+d seconds', -$seconds));
            if ($offset($instant) === $seconds) {
                return $instant->setTimezone($zone);
            }
        }

        return $local->modify(sprintf('%+d seconds', -$before))->setTimezone($zone);
    }

    private static function isClosed(Term $term, string $day): bool
    {
        foreach ($term->closures as $closure) {
            if ($closure->covers($day)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Message> */
    private static function closuresOutside(Term $term): array
    {
        $warnings = [];
        foreach ($term->closures as $closure) {
            if ($closure->to < $term->from || $closure->from > $term->to) {
                $warnings[] = Message::of('dates.closure_outside', from: $closure->from, to: $closure->to);
            }
        }

        return $warnings;
    }

    /** @param  list<MeetingDate>  $meetings */
    private static function refuseRepeats(array $meetings): void
    {
        foreach ($meetings as $at => $meeting) {
            if ($at > 0 && $meeting->starts == $meetings[$at - 1]->starts) {
                throw Repeated::start($meeting->starts->format('H:i'), $meeting->on);
            }
        }
    }
}
