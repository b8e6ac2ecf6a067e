<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** An entry as its other side: sides, turns, steps, weight and cues exchanged (engine 2). */
final class EntryMirror
{
    /** @param  string  $id  of the mirrored entry, which mirrors the one it is made from */
    public static function of(Entry $entry, string $id): Entry
    {
        $changes = [];
        foreach (EntryField::all() as $field) {
            $changes[$field->property] = $field->mirrored($entry);
        }

        return $entry->with([...$changes, 'id' => $id, 'mirrors' => $entry->id, 'others' => []]);
    }
}
