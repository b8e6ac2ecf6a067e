<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** Something stands twice that may stand once. */
final class Repeated extends BadInput
{
    public static function id(string $place, string $id, int $entry): self
    {
        return new self($place, Message::of('twice.id', id: $id, entry: $entry));
    }

    /** A student, say, that stands in a list twice. */
    public static function inList(string $place, string $id): self
    {
        return new self($place, Message::of('twice.in_list', id: $id));
    }

    public static function idOnLine(string $id, int $line): self
    {
        return new self('id', Message::of('twice.id_line', id: $id, line: $line));
    }

    public static function column(string $name, int $times): self
    {
        return new self('1', Message::of('twice.column', name: $name, times: $times));
    }

    public static function weekday(string $place, string $row): self
    {
        return new self($place, Message::of('twice.weekday', row: $row));
    }

    /** @param  string  $at  `HH:MM` on a day `Y-m-d` */
    public static function start(string $at, string $on): self
    {
        return new self('$.pattern', Message::of('twice.start', at: $at, on: $on));
    }
}
