<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** More of one thing than there may be. */
final class TooMany extends BadInput
{
    /** @param  int|null  $line  of a list that goes on after it */
    public static function entries(int $most, ?int $found = null, ?int $line = null): self
    {
        return $found === null
            ? new self((string) $line, Message::of('many.list', most: $most))
            : new self($line === null ? '$.entries' : (string) $line, Message::of('many.entries', most: $most, found: $found));
    }

    /** @param  string  $kind  items, rows or edits */
    public static function items(string $place, string $kind, int $most): self
    {
        return new self($place, Message::of("many.$kind", most: $most));
    }
}
