<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** A value is of another kind than the format says. */
final class WrongType extends BadInput
{
    /** @param  string  $wanted  object, list, text, whole, number, pair or truth */
    public static function wanted(string $place, string $wanted, mixed $found): self
    {
        return new self($place, Message::of('type.wrong', wanted: Message::of("type.$wanted"), found: self::said($found)));
    }

    /** A value in a few words. */
    public static function said(mixed $value): Message|string
    {
        return match (true) {
            $value === null => 'null',
            is_bool($value) => $value ? 'true' : 'false',
            is_string($value) => '"'.mb_strimwidth($value, 0, 40, '…').'"',
            is_int($value), is_float($value) => (string) $value,
            is_array($value) => Message::of('type.list'),
            default => Message::of('type.object'),
        };
    }
}
