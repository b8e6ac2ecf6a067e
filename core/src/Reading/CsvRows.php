<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use LogicException;

/**
 * The rows of a CSV text (RFC 4180), each with the line it begins on, and what is wrong with them.
 */
final readonly class CsvRows
{
    /**
     * @param  array<int, list<string>>  $rows  by the line they begin on, from 1; blank lines left out
     * @param  list<BadInput>  $problems
     * @param  string  $separator  what parts the cells
     */
    private function __construct(public array $rows, public array $problems, public string $separator = ',')
    {
    }

    public static function of(string $text): self
    {
        $text = JsonNode::withoutByteOrderMark($text);
        $problems = self::wrongText($text);
        if ($problems !== []) {
            return new self([], $problems);
        }
        $text = str_replace(["\r\n", "\r"], "\n", $text);
        // A line of its own that some spreadsheets write before the header says what parts the cells.
        $isSaid = preg_match('/^"?sep=(.)"?\n/i', $text, $said) === 1;
        $separator = $isSaid && in_array($said[1], [',', ';', "\t"], true) ? $said[1] : self::separator($text);
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new LogicException('there is no memory to read in');
        }
        fwrite($file, $text);
        rewind($file);
        $rows = [];
        $line = 1;
        $at = 0;
        while (($row = fgetcsv($file, null, $separator, '"', '')) !== false) {
            $raw = substr($text, $at, (int) ftell($file) - $at);
            if (! self::isWellQuoted($raw, $separator)) {
                $problems[] = Unreadable::quotesDoNotClose($line);
            } elseif (trim($raw) !== '') {
                $rows[$line] = array_map(static fn (?string $cell): string => (string) $cell, $row);
            }
            $line += substr_count($raw, "\n");
            $at += strlen($raw);
        }
        fclose($file);

        if ($isSaid) {
            unset($rows[1]);
        }

        return new self($rows, $problems, $separator);
    }

    /** @return list<BadInput> */
    private static function wrongText(string $text): array
    {
        if (trim($text) === '') {
            return [Unreadable::empty()];
        }
        if (Unreadable::isUtf16($text)) {
            return [Unreadable::utf16()];
        }
        if (str_contains($text, "\0")) {
            return [Unreadable::holdsNul(substr_count((string) preg_replace('/\r\n|\r/', "\n", strstr($text, "\0", true) ?: ''), "\n") + 1)];
        }
        if (preg_match('//u', $text) === 1) {
            return [];
        }
        $wrong = [];
        foreach (preg_split('/\r\n|\r|\n/', $text) ?: [] as $at => $line) {
            if (preg_match('//u', $line) !== 1) {
                $wrong[] = Unreadable::notUtf8($at + 1);
            }
        }

        return $wrong;
    }

    /** The one of comma, semicolon and tab that parts the header best. */
    private static function separator(string $text): string
    {
        $head = (string) preg_replace('/"(?:[^"]|"")*"/', '', explode("\n", ltrim($text, "\n"), 2)[0]);
        $best = ',';
        foreach ([';', "\t"] as $one) {
            if (substr_count($head, $one) > substr_count($head, $best)) {
                $best = $one;
            }
        }

        return $best;
    }

    private static function isWellQuoted(string $row, string $separator): bool
    {
        $part = preg_quote($separator, '/');
        $cell = "(?:\"(?:[^\"]++|\"\")*+\"|[^\"$part\\n]*+)";

        return preg_match("/^$cell(?:$part$cell)*+\\n?$/D", $row) === 1;
    }
}
