<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading\Internal;

/**
 * Finds the line on which a text stops being JSON, which PHP's own decoder does not tell (grammar: RFC 8259).
 *
 * @internal
 */
final class JsonFault
{
    private const TOKEN = '/\G(?:[ \t\r\n]+|(?<word>"(?:[^"\\\\\x00-\x1F]|\\\\.)*"|-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?|true|false|null)|(?<mark>[\[\]{}:,]))/u';

    /** The line, from 1, of the first token that cannot stand where it stands. */
    public static function line(string $text): int
    {
        $offset = 0;
        $open = []; // the brackets that are open, innermost last
        $before = 'start'; // what came before: start, open, value, comma or colon
        $length = strlen($text);
        while ($offset < $length) {
            if (preg_match(self::TOKEN, $text, $found, PREG_UNMATCHED_AS_NULL, $offset) !== 1) {
                break;
            }
            $token = $found['word'] ?? $found['mark'] ?? null;
            if ($token !== null) {
                $next = self::after($token, $before, $open);
                if ($next === null) {
                    break;
                }
                $before = $next;
            }
            $offset += strlen($found[0]);
        }

        return substr_count(substr($text, 0, $offset), "\n") + 1;
    }

    /** @param  list<string>  $open */
    private static function after(string $token, string $before, array &$open): ?string
    {
        $inside = $open === [] ? '' : $open[count($open) - 1];
        if ($token === '}' || $token === ']') {
            $matches = $inside === ($token === '}' ? '{' : '[') && ($before === 'open' || $before === 'value');
            array_pop($open);

            return $matches ? 'value' : null;
        }
        if ($token === ',' || $token === ':') {
            return match (true) {
                $token === ',' => $before === 'value' && $inside !== '' ? 'comma' : null,
                default => $before === 'key' ? 'colon' : null,
            };
        }
        if ($before === 'value' || $before === 'key') {
            return null;
        }
        if ($inside === '{' && $before !== 'colon') {
            return $token[0] === '"' ? 'key' : null;
        }
        if ($token === '{' || $token === '[') {
            $open[] = $token;

            return 'open';
        }

        return 'value';
    }
}
