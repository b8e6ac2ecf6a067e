<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** A text does not read as what it should say. */
final class Malformed extends BadInput
{
    /** @param  string  $kind  instant, offset, day, time, number, truth or travel */
    public static function text(string $place, string $kind, string $text): self
    {
        return new self($place, Message::of("malformed.$kind", text: mb_strimwidth($text, 0, 40, '…')));
    }

    public static function zone(string $place, string $name): self
    {
        return new self($place, Message::of('malformed.zone', text: mb_strimwidth($name, 0, 40, '…')));
    }

    public static function nul(string $place): self
    {
        return new self($place, Message::of('malformed.nul'));
    }

    public static function cell(string $place, int $most): self
    {
        return new self($place, Message::of('malformed.cell', most: $most));
    }

    /** A line of a cell that is not two texts parted by something. */
    public static function pair(string $place, string $text, string $by): self
    {
        return new self($place, Message::of('malformed.pair', text: mb_strimwidth($text, 0, 40, '…'), by: $by));
    }
}
