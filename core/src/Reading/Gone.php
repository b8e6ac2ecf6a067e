<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** What is meant is not there, or not any more. */
final class Gone extends BadInput
{
    public static function entry(string $id): self
    {
        return new self($id, Message::of('gone.entry'));
    }

    public static function nextEntry(string $id): self
    {
        return new self($id, Message::of('gone.next_entry'));
    }

    public static function finding(): self
    {
        return new self('accept', Message::of('gone.finding'));
    }

    public static function principle(string $place, string $id): self
    {
        return new self($place, Message::of('gone.principle', id: $id));
    }

    /** An entry, or a drill, that something names. */
    public static function named(string $place, string $id): self
    {
        return new self($place, Message::of('gone.named', id: $id));
    }
}
