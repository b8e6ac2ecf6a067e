<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/**
 * A cell that a spreadsheet must not take for a formula: text that begins with `=` `+` `-` `@` and is not a number
 * gets an apostrophe, which is taken off again on reading. Text that begins so after apostrophes gets one more.
 */
final class CsvCell
{
    public static function guarded(string $text): string
    {
        return preg_match("/^'*[=+\-@]/", $text) === 1 && ! self::isNumber($text) ? "'$text" : $text;
    }

    public static function unguarded(string $text): string
    {
        return preg_match("/^'+[=+\-@]/", $text) === 1 ? substr($text, 1) : $text;
    }

    private static function isNumber(string $text): bool
    {
        return preg_match('/^[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?$/iD', $text) === 1;
    }
}
