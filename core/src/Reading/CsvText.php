<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use LogicException;

/** Rows as CSV (RFC 4180), in UTF-8 with lines ended by CR LF; no cell is taken for a formula. */
final class CsvText
{
    /** @param  iterable<list<string>>  $rows  the header first */
    public static function of(iterable $rows): string
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new LogicException('there is no memory to write in');
        }
        foreach ($rows as $row) {
            fputcsv($file, array_map(CsvCell::guarded(...), $row), escape: '', eol: "\r\n");
        }
        rewind($file);
        $text = (string) stream_get_contents($file);
        fclose($file);

        return $text;
    }
}
