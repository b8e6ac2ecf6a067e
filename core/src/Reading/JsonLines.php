<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/**
 * Finds the lines on which the items of a list begin, which PHP's own decoder does not tell.
 *
 * @internal
 */
final class JsonLines
{
    private const TOKEN = '/"(?:[^"\\\\]++|\\\\.)*+"|[\[\]{},]|[^\s\[\]{},"]++/u';

    /**
     * The line, from 1, of each item of a list in the root object. The text is JSON; a list that is not there has none.
     *
     * @return list<int>
     */
    public static function ofItems(string $text, string $list): array
    {
        $lines = [];
        $depth = $line = $counted = 0;
        $isInside = $isNext = false;
        preg_match_all(self::TOKEN, $text, $tokens, PREG_OFFSET_CAPTURE);
        foreach ($tokens[0] as [$token, $offset]) {
            $line += substr_count($text, "\n", $counted, $offset - $counted);
            $counted = $offset;
            if ($isInside && $depth === 2 && $token !== ',' && $token !== ']') {
                if ($isNext) {
                    $lines[] = $line + 1;
                }
                $isNext = false;
            } elseif ($isInside && $depth === 2 && $token === ',') {
                $isNext = true;
            }
            if ($depth === 1 && $token === ',') {
                $isNext = false;
            } elseif ($depth === 1 && $token === '"'.$list.'"') {
                $isNext = true;
            } elseif ($depth === 1 && $isNext && $token === '[') {
                $isInside = true;
            }
            $depth += match ($token) {
                '[', '{' => 1,
                ']', '}' => -1,
                default => 0,
            };
            if ($isInside && $depth === 1) {
                break;
            }
        }

        return $lines;
    }
}
