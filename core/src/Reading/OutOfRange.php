<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** A number, or the length of a text, lies outside what is allowed. */
final class OutOfRange extends BadInput
{
    public static function between(string $place, int|float $least, int|float $most, int|float $value): self
    {
        return new self($place, Message::of('range.between', least: $least, most: $most, value: $value));
    }

    public static function notPositive(string $place): self
    {
        return new self($place, Message::of('range.positive'));
    }

    public static function tooLong(string $place, int $most): self
    {
        return new self($place, Message::of('range.long', most: $most));
    }

    /** @param  string  $length  width, depth or step of a room */
    public static function metres(string $length, float $least, float $most): self
    {
        return new self('', Message::of("range.$length", least: $least, most: $most));
    }

    public static function students(int $most): self
    {
        return new self('', Message::of('range.students', most: $most));
    }

    public static function termTooLong(string $place): self
    {
        return new self($place, Message::of('range.term'));
    }

    /** @param  string  $on  the last day that would do, `Y-m-d` */
    public static function laterThan(string $place, string $on): self
    {
        return new self($place, Message::of('range.later', on: $on));
    }
}
