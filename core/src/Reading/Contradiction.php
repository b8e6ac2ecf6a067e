<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** Two things that are said cannot both be. */
final class Contradiction extends BadInput
{
    /** @param  string  $what  term, closure, consideration or practice; days `Y-m-d` */
    public static function endsBeforeItStarts(string $place, string $what, string $from, string $to): self
    {
        return new self($place, Message::of("contradiction.$what", from: $from, to: $to));
    }

    /** @param  string  $how  backwards, outside or overlap */
    public static function section(string $place, string $how, string $title, int $count): self
    {
        return new self($place, Message::of("contradiction.section_$how", title: $title, entries: $count));
    }

    public static function passage(string $place): self
    {
        return new self($place, Message::of('contradiction.passage'));
    }

    /** @param  string  $on  and the first and the last day of the term, `Y-m-d` */
    public static function showingOutside(string $place, string $on, string $from, string $to): self
    {
        return new self($place, Message::of('contradiction.showing_outside', on: $on, from: $from, to: $to));
    }

    public static function closeIsLast(string $place): self
    {
        return new self($place, Message::of('contradiction.close_last'));
    }

    public static function pace(string $place): self
    {
        return new self($place, Message::of('contradiction.pace'));
    }

    public static function smallerAfterLarger(string $place): self
    {
        return new self($place, Message::of('contradiction.range'));
    }

    /** @param  list<Message>  $circle */
    public static function relationsInACircle(string $place, array $circle): self
    {
        return new self($place, Message::of('contradiction.circle', circle: $circle));
    }

    public static function inTheRecord(string $place, Message $reason): self
    {
        return new self($place, $reason);
    }

    /** @param  non-empty-list<string>  $titles  each comes after the next, the last after the first */
    public static function prerequisitesInACircle(string $place, array $titles): self
    {
        return new self($place, Message::of('contradiction.prerequisites', count: count($titles), title: $titles[0], circle: [...$titles, $titles[0]]));
    }
}
