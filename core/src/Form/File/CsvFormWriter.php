<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\CsvCell;
use LogicException;

/** Writes a form as CSV (RFC 4180): a header, then one row an entry, in UTF-8 with lines ended by CR LF. */
final class CsvFormWriter
{
    /** @return list<string> */
    public static function header(): array
    {
        return ['id', 'section', ...EntryCells::columns()];
    }

    public function write(Form $form): string
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new LogicException('there is no memory to write in');
        }
        fputcsv($file, self::header(), escape: '', eol: "\r\n");
        $cells = new EntryCells;
        foreach ($form->entries as $at => $entry) {
            $row = [$entry->id, $form->sectionOf($at + 1)->title ?? '', ...array_values($cells->of($entry))];
            fputcsv($file, array_map(CsvCell::guarded(...), $row), escape: '', eol: "\r\n");
        }
        rewind($file);
        $text = (string) stream_get_contents($file);
        fclose($file);

        return $text;
    }
}
