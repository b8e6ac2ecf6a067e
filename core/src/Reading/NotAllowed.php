<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** A word is none of those there are. */
final class NotAllowed extends BadInput
{
    /** @param  list<string>  $allowed */
    public static function wanted(string $place, array $allowed, mixed $found): self
    {
        return new self($place, Message::of('allowed.one_of', allowed: implode(', ', $allowed), found: WrongType::said($found)));
    }

    public static function format(string $place, string $format): self
    {
        return new self($place, Message::of('allowed.format', format: $format));
    }

    public static function sideOnly(string $place): self
    {
        return new self($place, Message::of('allowed.left_or_right'));
    }

    public static function column(string $column): self
    {
        return new self($column, Message::of('allowed.column'));
    }

    public static function edit(string $place): self
    {
        return new self($place, Message::of('allowed.edit'));
    }

    /** A side is named where there are none. */
    public static function noSides(string $place): self
    {
        return new self($place, Message::of('allowed.no_sides'));
    }

    /** A family is named and the set has none. */
    public static function family(string $place, string $family): self
    {
        return new self($place, Message::of('allowed.no_families', family: $family));
    }

    public static function familyInUse(string $place, string $family, string $title): self
    {
        return new self($place, Message::of('allowed.family_in_use', family: $family, title: $title));
    }

    /** @param  list<string>  $allowed */
    public static function csvColumn(string $name, array $allowed): self
    {
        return new self('1', Message::of('allowed.csv_column', name: $name, allowed: implode(', ', $allowed)));
    }
}
