<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** Something that has to be said is not. */
final class Missing extends BadInput
{
    public static function key(string $place, string $key): self
    {
        return new self($place, Message::of('missing.key', key: $key));
    }

    public static function text(string $place): self
    {
        return new self($place, Message::of('missing.text'));
    }

    public static function entryInList(): self
    {
        return new self('', Message::of('missing.entry_in_list'));
    }

    public static function entryInForm(): self
    {
        return new self('$.entries', Message::of('missing.entry_in_form'));
    }

    public static function rows(): self
    {
        return new self('', Message::of('missing.rows'));
    }

    public static function titleColumn(): self
    {
        return new self('1', Message::of('missing.title_column'));
    }

    public static function parts(string $place): self
    {
        return new self($place, Message::of('missing.parts'));
    }

    public static function pattern(string $place): self
    {
        return new self($place, Message::of('missing.pattern'));
    }

    /** @param  string  $from  day `Y-m-d` */
    public static function meeting(string $from, string $to): self
    {
        return new self('$', Message::of('missing.meeting', from: $from, to: $to));
    }

    public static function principles(string $place): self
    {
        return new self($place, Message::of('missing.principles'));
    }
}
