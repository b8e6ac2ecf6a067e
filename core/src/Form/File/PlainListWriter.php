<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\RepetitionKind;
use Gorvan\Core\Form\Side;

/** Writes the plain list, a line an entry; what a line cannot say is left out. */
final class PlainListWriter
{
    public function write(Form $form): string
    {
        $lines = ['# '.self::line($form->title)];
        foreach ($form->entries as $at => $entry) {
            foreach ($form->sections as $section) {
                if ($section->first === $at + 1) {
                    $lines[] = self::line($section->title).':';
                }
            }
            $lines[] = $this->entry($entry);
        }

        return implode("\n", $lines)."\n";
    }

    private function entry(Entry $entry): string
    {
        $alternates = $entry->repetition?->kind === RepetitionKind::Alternating;
        $side = match ($alternates && $entry->side === Side::Both ? null : $entry->side) {
            Side::Left => 'L',
            Side::Right => 'R',
            Side::Both => 'both',
            Side::Centre => 'centre',
            null => null,
        };
        $stated = array_filter([$side, $entry->repetition?->isUnderstood() === true ? self::repetition($entry->repetition->stated) : null]);

        return ($entry->number === null ? '' : "$entry->number. ").self::line($entry->title).($stated === [] ? '' : ' ('.implode(', ', $stated).')');
    }

    /** A comma parts what stands in a bracket; a semicolon says the same inside a repetition. */
    private static function repetition(string $stated): string
    {
        return str_replace(',', ';', self::line($stated));
    }

    private static function line(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }
}
