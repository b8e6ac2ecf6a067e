<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Change;

use Gorvan\Core\Reading\Message;

/** A field of an entry or of a form that was one thing and is another; null where nothing is said. */
final readonly class FieldChange
{
    public function __construct(public string $field, public mixed $before, public mixed $after)
    {
    }

    /** Whether both mean the same; `2` and `2.0` do, and so do keys in another order. */
    public function isNone(): bool
    {
        return self::plain($this->before) === self::plain($this->after);
    }

    /** A value in few words, for people. */
    public static function words(mixed $value): Message|string
    {
        return match (true) {
            $value === null => '–',
            is_bool($value) => Message::of($value ? 'value.yes' : 'value.no'),
            is_scalar($value) => (string) $value,
            is_array($value) && array_is_list($value) && array_filter($value, is_scalar(...)) === $value => implode(', ', $value),
            is_array($value) => Message::of('value.items', count: count($value)),
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        };
    }

    private static function plain(mixed $value): string
    {
        return json_encode(self::sorted($value), JSON_THROW_ON_ERROR);
    }

    private static function sorted(mixed $value): mixed
    {
        if (is_object($value)) {
            $fields = get_object_vars($value);
            ksort($fields);

            return (object) array_map(self::sorted(...), $fields);
        }

        return is_array($value) ? array_map(self::sorted(...), $value) : $value;
    }
}
