<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\CellKind;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryField;
use Gorvan\Core\Form\TitleAlias;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Malformed;
use Gorvan\Core\Reading\NotAllowed;
use stdClass;

/**
 * An entry as the cells of a row: the columns of the CSV file and of the editor's grid. What a cell cannot hold in a
 * few words (phases, variants, cautions, errors, states, differences, other numberings) stays out of them.
 */
final class EntryCells
{
    private const BOOKLET = ['booklet_number', 'booklet_page'];

    /** @return list<string> the columns, in the order of the form file */
    public static function columns(): array
    {
        $columns = [];
        foreach (EntryField::all() as $field) {
            array_push($columns, ...match ($field->cell) {
                null => [],
                CellKind::Booklet => self::BOOKLET,
                default => [$field->name],
            });
        }

        return $columns;
    }

    /** @return array<string, string> the text of every column, empty where nothing is said */
    public function of(Entry $entry): array
    {
        $cells = [];
        foreach (EntryField::all() as $field) {
            if ($field->cell === CellKind::Booklet) {
                $cells['booklet_number'] = (string) $entry->booklet?->number;
                $cells['booklet_page'] = (string) $entry->booklet?->page;
            } elseif ($field->cell !== null) {
                $cells[$field->name] = self::cell($field, $entry);
            }
        }

        return $cells;
    }

    /**
     * The fields of the form file that some cells stand for; an empty cell takes its field out.
     *
     * @param  array<string, string>  $cells  by column
     * @param  Entry|null  $entry  the entry they are written into, for what stands beside them in one field
     * @return array<string, mixed>
     *
     * @throws BadInput with the column as its place
     */
    public function fields(array $cells, ?Entry $entry = null): array
    {
        $fields = [];
        foreach ($cells as $column => $text) {
            $field = EntryField::all()[in_array($column, self::BOOKLET, true) ? 'booklet' : $column] ?? null;
            if ($field?->cell === null || $column === 'booklet') {
                throw NotAllowed::column($column);
            }
            $text = trim($text);
            if ($field->cell === CellKind::Booklet) {
                $booklet = $fields['booklet'] ?? null;
                $booklet = $booklet instanceof stdClass ? $booklet : Fields::beside(['number' => $entry?->booklet?->number, 'page' => $entry?->booklet?->page], $entry->booklet->others ?? []);
                $booklet->{substr($column, 8)} = $text === '' ? null : ($column === 'booklet_page' ? self::number($column, $text) : $text);
                $fields['booklet'] = $booklet->number === null && $booklet->page === null && count(get_object_vars($booklet)) === 2 ? null : $booklet;
            } else {
                $fields[$column] = $text === '' ? null : self::value($field, $text);
            }
        }

        return $fields;
    }

    private static function cell(EntryField $field, Entry $entry): string
    {
        return match ($field->cell) {
            CellKind::Aliases => implode("\n", array_map(static fn (TitleAlias $alias): string => $alias->text.($alias->lang === null ? '' : " [$alias->lang]"), $entry->aliases)),
            CellKind::Lines => implode("\n", array_filter((array) $field->of($entry), is_string(...))),
            default => self::text($field->written($entry)),
        };
    }

    /** @throws BadInput */
    private static function value(EntryField $field, string $text): mixed
    {
        return match ($field->cell) {
            CellKind::Number => self::number($field->name, $text),
            CellKind::Truth => self::truth($field->name, $text),
            CellKind::Lines => self::lines($text),
            CellKind::Aliases => array_map(self::alias(...), self::lines($text)),
            CellKind::Weight => preg_match('/^(\d+(?:[.,]\d+)?)\s*(?:-|–|\.\.|to|;)\s*(\d+(?:[.,]\d+)?)$/u', $text, $m) === 1
                ? [self::number($field->name, $m[1]), self::number($field->name, $m[2])]
                : self::number($field->name, $text),
            CellKind::Travel => self::travel($text),
            CellKind::Word => self::word($field->name, $text),
            default => $text,
        };
    }

    /** A decimal comma and the typographic minus are understood. @throws BadInput */
    private static function number(string $column, string $text): int|float
    {
        $plain = strtr($text, [',' => '.', '−' => '-', '°' => '', ' ' => '']);
        if (preg_match('/^[+-]?\d{1,9}(?:\.\d{1,20})?(?:e[+-]?\d{1,3})?$/iD', $plain) !== 1) {
            throw Malformed::text($column, 'number', $text);
        }

        return str_contains(strtolower($plain), 'e') || str_contains($plain, '.') ? (float) $plain : (int) $plain;
    }

    /** @throws BadInput */
    private static function truth(string $column, string $text): bool
    {
        return match (mb_strtolower($text)) {
            'true', 'yes', 'y', '1', 'x' => true,
            'false', 'no', 'n', '0' => false,
            default => throw Malformed::text($column, 'truth', $text),
        };
    }

    /** @return list<string> */
    private static function lines(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), preg_split('/\R/u', $text) ?: []), static fn (string $line): bool => $line !== ''));
    }

    /** A name, and in brackets its language. */
    private static function alias(string $line): stdClass
    {
        return preg_match('/^(.*\S)\s*\[([^\[\]]{1,35})\]$/u', $line, $m) === 1 ? (object) ['text' => $m[1], 'lang' => $m[2]] : (object) ['text' => $line];
    }

    /**
     * Forward, then sideways to the right: `1, 0`; a single number is forward.
     *
     * @return array{int|float, int|float}
     *
     * @throws BadInput
     */
    private static function travel(string $text): array
    {
        $text = trim($text, '[] ');
        $parts = preg_split(str_contains($text, ';') ? '/\s*;\s*/' : '/\s*[,\/]\s*|\s+/', $text) ?: [];
        if (count($parts) > 2) {
            throw Malformed::text('travel', 'travel', $text);
        }

        return [self::number('travel', $parts[0]), count($parts) === 1 ? 0 : self::number('travel', $parts[1])];
    }

    /** A word of a short list, as a teacher may type it: L for left. */
    private static function word(string $column, string $text): string
    {
        $word = mb_strtolower($text);
        $short = match ($column) {
            'side', 'start_side', 'first_step' => ['l' => 'left', 'r' => 'right', 'b' => 'both', 'c' => 'centre', 'center' => 'centre', 'n' => 'none'],
            'footfall' => ['h' => 'heel', 't' => 'toe', 'f' => 'flat', 'n' => 'none'],
            'kind' => ['m' => 'movement', 'c' => 'connector', 'o' => 'opening', 'x' => 'extra'],
            default => [],
        };

        return $short[$word] ?? $word;
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            $value === null => '',
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) => implode('; ', array_map(self::text(...), $value)),
            is_int($value), is_float($value) => (string) json_encode($value),
            is_string($value) => $value,
            default => '',
        };
    }

    /**
     * One entry with some of its cells written anew.
     *
     * @param  array<string, string>  $cells
     *
     * @throws BadInput with the column as its place
     */
    public function written(Entry $entry, array $cells): Entry
    {
        $data = array_replace(get_object_vars((new FormFileWriter)->entry($entry)), $this->fields($cells, $entry));
        try {
            return (new FormFileReader)->entry(JsonNode::of((object) $data));
        } catch (BadInput $e) {
            throw $e->movedTo(self::column($e->place));
        }
    }

    private static function column(string $path): string
    {
        $field = preg_match('/^\$\.(\w+)(?:\.(\w+))?/', $path, $m) === 1 ? $m[1] : '';

        return $field === 'booklet' ? 'booklet_'.($m[2] ?? 'number') : ($field === '' ? 'title' : $field);
    }
}
