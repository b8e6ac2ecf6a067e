<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use DomainException;
use Gorvan\Core\Reading\Message;

/** A change of a term that cannot be, and the nearest that can. */
final class ChangeRefused extends DomainException
{
    private function __construct(public readonly Message $reason)
    {
        parent::__construct($reason->code);
    }

    public static function gone(): self
    {
        return new self(Message::of('change.gone'));
    }

    public static function isOver(DraftMeeting $meeting): self
    {
        return new self(Message::of('change.over', on: $meeting->on));
    }

    /** @param  string  $on  and the first and last day of the term */
    public static function outside(string $on, string $from, string $to): self
    {
        return new self(Message::of('change.outside', on: $on, from: $from, to: $to));
    }

    public static function goneBy(string $on, string $today): self
    {
        return new self(Message::of('change.gone_by', on: $on, today: $today));
    }

    public static function closed(string $on, ?string $nearest): self
    {
        return new self($nearest === null ? Message::of('change.closed', on: $on) : Message::of('change.closed_nearest', on: $on, nearest: $nearest));
    }

    public static function taken(string $on, string $at, ?string $nearest): self
    {
        return new self($nearest === null ? Message::of('change.taken', on: $on, at: $at) : Message::of('change.taken_nearest', on: $on, at: $at, nearest: $nearest));
    }

    public static function takesNoPlace(string $on): self
    {
        return new self(Message::of('change.takes_no_place', on: $on));
    }

    public static function tooManyFocuses(int $most): self
    {
        return new self(Message::of('change.focuses', most: $most));
    }

    public static function lastMeeting(): self
    {
        return new self(Message::of('change.last_meeting'));
    }

    public static function twoLessons(string $on, int $number, int $there): self
    {
        return new self(Message::of('change.two_lessons', on: $on, number: $number, there: $there));
    }

    /** @param  string  $on  where the lesson was to come, and `earliest` where it can */
    public static function tooEarly(int $number, int $before, string $on, string $earliest): self
    {
        return new self(Message::of('change.too_early', number: $number, before: $before, on: $on, earliest: $earliest));
    }

    public static function tooLate(int $number, int $after, string $on): self
    {
        return new self(Message::of('change.too_late', number: $number, after: $after, on: $on));
    }

    public static function notGiven(int $number): self
    {
        return new self(Message::of('change.not_given', number: $number));
    }

    public static function backwards(string $from, string $to): self
    {
        return new self(Message::of('change.backwards', from: $from, to: $to));
    }
}
