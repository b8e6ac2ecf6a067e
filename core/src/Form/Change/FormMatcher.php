<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Change;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryField;
use Gorvan\Core\Form\File\PlainListReader;
use Gorvan\Core\Form\File\ReadForm;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Form\KinshipReader;

/**
 * Finds which entries of a form read anew are the entries of a form that is there already, so that they keep their
 * identity, and with it marks and lessons. What the file does not speak of stays as it was.
 *
 * By id where the file has ids. Else by title and side: first the longest stretch that kept its order, then what
 * moved; then, between two entries that stayed, those with the same published number, and of what is left equally many
 * old and new ones in order (a title was changed).
 */
final class FormMatcher
{
    /**
     * The form as it will be, with the ids of what stayed; new entries get ids that are free.
     *
     * @param  bool  $trustsIds  whether entries with one id are the same although their titles differ; see {@see isDoubtful}
     */
    public function matched(Form $old, ReadForm $read, bool $trustsIds = true): Form
    {
        $form = $read->form;
        $same = $read->hasIds && $trustsIds ? array_diff_key(self::byId($old, $form), self::made($read)) : self::byTitle($old, $form);
        $ids = self::ids($old, $form, $same);
        $again = static fn (?string $id): ?string => $id === null ? null : $ids[($form->positionOf($id) ?? 0) - 1] ?? $id;
        $entries = [];
        foreach ($form->entries as $at => $entry) {
            $renamed = $entry->with(['id' => $ids[$at], 'returns' => $again($entry->returns), 'mirrors' => $again($entry->mirrors)]);
            $was = $same[$at] ?? null;
            $entries[] = $was === null || $read->carries === null ? $renamed : self::carried($old->entries[$was], $renamed, $read->carries);
        }
        if ($read->carries === null) {
            // A file that says nothing of lessons leaves those that are there.
            $lessons = $form->lessons === [] ? $old->lessons : array_map(static fn (array $one): array => array_map(static fn (string $id): string => $again($id) ?? $id, $one), $form->lessons);

            return $form->with(['entries' => $entries, 'lessons' => $lessons]);
        }

        return $old->with(['title' => $read->hasIds ? $old->title : $form->title, 'entries' => $entries, 'sections' => $form->sections]);
    }

    /**
     * Of the relations the reader supposed, those of entries that are new: what stayed has its own.
     *
     * @return list<Kinship>
     */
    public function supposed(Form $old, ReadForm $read, Form $matched): array
    {
        return array_values(array_filter($read->inferred, static fn (Kinship $kin): bool => $old->positionOf($matched->at($kin->position)->id) === null));
    }

    /**
     * Whether the ids may be the same by chance: they are of the kind that every list gets when it is read ("e01"), and most
     * of the entries they have in common have another title. Who brings the file must say then whether it is this form's.
     */
    public static function isDoubtful(Form $old, ReadForm $read): bool
    {
        $common = $read->hasIds ? array_diff_key(self::byId($old, $read->form), self::made($read)) : [];
        $made = array_filter($common, static fn (int $was, int $at): bool => PlainListReader::isMade($old->entries[$was]->id), ARRAY_FILTER_USE_BOTH);
        $renamed = array_filter($made, static fn (int $was, int $at): bool => KinshipReader::plain($old->entries[$was]->title) !== KinshipReader::plain($read->form->entries[$at]->title), ARRAY_FILTER_USE_BOTH);

        return count($made) > count($common) / 2 && count($renamed) > count($made) / 2;
    }

    /** @return array<int, int> rows whose id was made while reading, by index */
    private static function made(ReadForm $read): array
    {
        $made = array_flip($read->made);

        return array_filter(array_map(static fn (Entry $entry): ?int => $made[$entry->id] ?? null, $read->form->entries), is_int(...));
    }

    /** @return array<int, int> index of the old entry by index of the new one */
    private static function byId(Form $old, Form $form): array
    {
        $same = [];
        foreach ($form->entries as $at => $entry) {
            $was = $old->positionOf($entry->id);
            if ($was !== null) {
                $same[$at] = $was - 1;
            }
        }

        return $same;
    }

    /** @return array<int, int> */
    private static function byTitle(Form $old, Form $form): array
    {
        $key = static fn (Entry $entry): string => KinshipReader::plain($entry->title).'|'.($entry->side->value ?? '');
        [$was, $is] = [array_map($key, $old->entries), array_map($key, $form->entries)];
        $stayed = $same = self::inOrder($was, $is);
        $free = [];
        foreach (array_diff_key($was, array_flip($same)) as $at => $title) {
            $free[$title][] = $at;
        }
        foreach (array_diff_key($is, $same) as $at => $title) {
            $moved = isset($free[$title]) ? array_shift($free[$title]) : null;
            if ($moved !== null) {
                $same[$at] = $moved;
            }
        }

        return self::withRetitled($old, $form, $same, $stayed);
    }

    /**
     * The longest common subsequence.
     *
     * @param  list<string>  $was
     * @param  list<string>  $is
     * @return array<int, int>
     */
    private static function inOrder(array $was, array $is): array
    {
        [$rows, $columns] = [count($was), count($is)];
        $length = array_fill(0, $rows + 1, array_fill(0, $columns + 1, 0));
        for ($i = $rows - 1; $i >= 0; $i--) {
            for ($j = $columns - 1; $j >= 0; $j--) {
                $length[$i][$j] = $was[$i] === $is[$j] ? $length[$i + 1][$j + 1] + 1 : max($length[$i + 1][$j], $length[$i][$j + 1]);
            }
        }
        $same = [];
        for ($i = $j = 0; $i < $rows && $j < $columns;) {
            if ($was[$i] === $is[$j]) {
                $same[$j++] = $i++;
            } elseif ($length[$i + 1][$j] >= $length[$i][$j + 1]) {
                $i++;
            } else {
                $j++;
            }
        }

        return $same;
    }

    /**
     * What is left between two entries that stayed.
     *
     * @param  array<int, int>  $same
     * @param  array<int, int>  $stayed  those of them that kept their order
     * @return array<int, int>
     */
    private static function withRetitled(Form $old, Form $form, array $same, array $stayed): array
    {
        $free = static fn (int $from, int $to, array $taken): array => array_values(array_filter(
            $from < $to ? range($from, $to - 1) : [],
            static fn (int $at): bool => ! isset($taken[$at]),
        ));
        $taken = array_flip($same);
        $retitled = [];
        [$row, $column] = [0, 0];
        ksort($stayed);
        foreach ($stayed + [$form->count() => $old->count()] as $nextColumn => $nextRow) {
            [$olds, $news] = [$free($row, $nextRow, $taken), $free($column, $nextColumn, $same)];
            foreach ($news as $new) {
                foreach ($olds as $was) {
                    if ($form->entries[$new]->number !== null && $form->entries[$new]->number === $old->entries[$was]->number) {
                        $retitled[$new] = $was;
                        [$olds, $news] = [array_values(array_diff($olds, [$was])), array_values(array_diff($news, [$new]))];

                        continue 2;
                    }
                }
            }
            if (count($olds) === count($news)) {
                $retitled += array_combine($news, $olds);
            }
            [$row, $column] = [$nextRow + 1, $nextColumn + 1];
        }

        return $same + $retitled;
    }

    /**
     * @param  array<int, int>  $same
     * @return list<string>
     */
    private static function ids(Form $old, Form $form, array $same): array
    {
        $ids = [];
        $used = array_fill_keys(array_map(static fn (Entry $entry): string => $entry->id, $old->entries), true);
        foreach ($form->entries as $at => $entry) {
            $id = isset($same[$at]) ? $old->entries[$same[$at]]->id : $entry->id;
            for ($n = $at + 1; ! isset($same[$at]) && isset($used[$id]); $n++) {
                $id = "n$n-".substr(hash('sha256', $entry->title.$n), 0, 6);
            }
            $used[$id] = true;
            $ids[] = $id;
        }

        return $ids;
    }

    /** @param  list<string>  $carries  fields as the form file names them */
    private static function carried(Entry $old, Entry $new, array $carries): Entry
    {
        $changes = [];
        foreach (array_intersect_key(EntryField::all(), array_flip($carries)) as $field) {
            $changes[$field->property] = $field->of($new);
        }

        return $old->with($changes);
    }
}
