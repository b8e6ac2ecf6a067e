<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** A text is not what its format asks of every text of its kind: encoding, JSON, quotes, size. */
final class Unreadable extends BadInput
{
    public static function empty(): self
    {
        return new self('', Message::of('unreadable.empty'));
    }

    public static function notUtf8(int $line): self
    {
        return new self((string) $line, Message::of('unreadable.utf8'));
    }

    /** Whether a text was saved as UTF-16: by its mark, or because every other byte of its start is empty. */
    public static function isUtf16(string $text): bool
    {
        return str_starts_with($text, "\xFF\xFE") || str_starts_with($text, "\xFE\xFF") || preg_match('/^(?:[^\0]\0){4}|^(?:\0[^\0]){4}/', $text) === 1;
    }

    public static function utf16(): self
    {
        return new self('1', Message::of('unreadable.utf16'));
    }

    public static function holdsNul(?int $line = null): self
    {
        return new self((string) $line, Message::of('unreadable.nul'));
    }

    public static function keyBeginsWithNul(): self
    {
        return new self('', Message::of('unreadable.nul_key'));
    }

    public static function tooDeep(int $most): self
    {
        return new self('', Message::of('unreadable.depth', most: $most));
    }

    public static function notJson(int $line): self
    {
        return new self((string) $line, Message::of('unreadable.json'));
    }

    public static function tooLarge(int $bytes): self
    {
        return new self('', Message::of('unreadable.large', kb: intdiv($bytes, 1024)));
    }

    public static function lineTooLong(int $line, int $most): self
    {
        return new self((string) $line, Message::of('unreadable.line', most: $most));
    }

    public static function quotesDoNotClose(int $line): self
    {
        return new self((string) $line, Message::of('unreadable.quotes'));
    }

    public static function tooManyCells(int $line, int $cells, int $head): self
    {
        return new self((string) $line, Message::of('unreadable.cells', cells: $cells, head: $head));
    }
}
