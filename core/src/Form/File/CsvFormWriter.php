<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\CsvText;

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
        $cells = new EntryCells;

        return CsvText::of([self::header(), ...array_map(
            static fn (int $at, Entry $entry): array => [$entry->id, $form->sectionOf($at + 1)->title ?? '', ...array_values($cells->of($entry))],
            array_keys($form->entries),
            $form->entries,
        )]);
    }
}
