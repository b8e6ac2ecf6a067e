<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use stdClass;

/**
 * An entry as the cells of a row: the columns of the CSV file and of the editor's grid. What a cell cannot hold in a
 * few words (phases, variants, cautions, errors, states, differences, other numberings) stays out of them.
 */
final class EntryCells
{
    public const COLUMNS = ['kind', 'number', 'booklet_number', 'booklet_page', 'title', 'aliases', 'side', 'start_side', 'one_sided', 'repetition',
        'repetition_inferred', 'breaths', 'first_step', 'steps', 'footfall', 'weight_end', 'turn', 'travel', 'stance', 'one_leg', 'returns', 'mirrors',
        'demand', 'rest', 'cut', 'checks', 'drills', 'cues'];

    private const NUMBERS = ['number', 'booklet_page', 'breaths', 'steps', 'turn', 'demand', 'rest'];

    private const TRUTHS = ['one_sided', 'repetition_inferred', 'one_leg'];

    /** Lists with a line an item. */
    private const LINES = ['aliases', 'checks', 'drills', 'cues'];

    /** @return array<string, string> the text of every column, empty where nothing is said */
    public function of(Entry $entry): array
    {
        $data = get_object_vars((new FormFileWriter)->entry($entry));
        $cells = [];
        foreach (self::COLUMNS as $column) {
            $cells[$column] = match ($column) {
                'booklet_number' => (string) $entry->booklet?->number,
                'booklet_page' => (string) $entry->booklet?->page,
                'aliases' => implode("\n", array_map(static fn (TitleAlias $alias): string => $alias->text.($alias->lang === null ? '' : " [$alias->lang]"), $entry->aliases)),
                'checks', 'drills', 'cues' => implode("\n", $entry->{$column}),
                default => self::text($data[$column] ?? null),
            };
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
            if (! in_array($column, self::COLUMNS, true)) {
                throw BadInput::at($column, 'is no column of an entry');
            }
            $text = trim($text);
            if ($column === 'booklet_number' || $column === 'booklet_page') {
                $booklet = $fields['booklet'] ?? null;
                $booklet = $booklet instanceof stdClass ? $booklet : (object) [...$entry->booklet->others ?? [], 'number' => $entry?->booklet?->number, 'page' => $entry?->booklet?->page];
                $booklet->{substr($column, 8)} = $text === '' ? null : self::value($column, $text);
                $fields['booklet'] = $booklet->number === null && $booklet->page === null && count(get_object_vars($booklet)) === 2 ? null : $booklet;
            } else {
                $fields[$column] = $text === '' ? null : self::value($column, $text);
            }
        }

        return $fields;
    }

    /** @throws BadInput */
    private static function value(string $column, string $text): mixed
    {
        return match (true) {
            in_array($column, self::NUMBERS, true) => self::number($column, $text),
            in_array($column, self::TRUTHS, true) => self::truth($column, $text),
            in_array($column, self::LINES, true) => self::lines($column, $text),
            $column === 'weight_end' => preg_match('/^(\d+(?:[.,]\d+)?)\s*(?:-|–|\.\.|to|;)\s*(\d+(?:[.,]\d+)?)$/u', $text, $m) === 1
                ? [self::number($column, $m[1]), self::number($column, $m[2])]
                : self::number($column, $text),
            $column === 'travel' => self::travel($text),
            in_array($column, ['title', 'booklet_number', 'stance', 'returns', 'mirrors', 'repetition'], true) => $text,
            default => self::word($column, $text),
        };
    }

    /** A decimal comma and the typographic minus are understood. @throws BadInput */
    private static function number(string $column, string $text): int|float
    {
        $plain = strtr($text, [',' => '.', '−' => '-', '°' => '', ' ' => '']);
        if (preg_match('/^[+-]?\d{1,9}(?:\.\d{1,20})?(?:e[+-]?\d{1,3})?$/iD', $plain) !== 1) {
            throw BadInput::at($column, '"'.self::short($text).'" is not a number');
        }

        return str_contains(strtolower($plain), 'e') || str_contains($plain, '.') ? (float) $plain : (int) $plain;
    }

    /** @throws BadInput */
    private static function truth(string $column, string $text): bool
    {
        return match (mb_strtolower($text)) {
            'true', 'yes', 'y', '1', 'x' => true,
            'false', 'no', 'n', '0' => false,
            default => throw BadInput::at($column, '"'.self::short($text).'" is neither yes nor no'),
        };
    }

    /** @return list<mixed> */
    private static function lines(string $column, string $text): array
    {
        $lines = array_values(array_filter(array_map(trim(...), preg_split('/\R/u', $text) ?: []), static fn (string $line): bool => $line !== ''));

        return $column !== 'aliases' ? $lines : array_map(
            static fn (string $line): stdClass => preg_match('/^(.*\S)\s*\[([^\[\]]{1,35})\]$/u', $line, $m) === 1
                ? (object) ['text' => $m[1], 'lang' => $m[2]]
                : (object) ['text' => $line],
            $lines,
        );
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
            throw BadInput::at('travel', '"'.self::short($text).'" is not steps forward and steps to the right, like 1; 0');
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

    private static function short(string $text): string
    {
        return mb_strimwidth($text, 0, 40, '…');
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
        $data = [...get_object_vars((new FormFileWriter)->entry($entry)), ...$this->fields($cells, $entry)];
        try {
            return (new FormFileReader)->entry(JsonNode::of((object) $data));
        } catch (BadInput $e) {
            throw BadInput::at(self::column($e->place), $e->reason);
        }
    }

    private static function column(string $path): string
    {
        $field = preg_match('/^\$\.(\w+)(?:\.(\w+))?/', $path, $m) === 1 ? $m[1] : '';

        return $field === 'booklet' ? 'booklet_'.($m[2] ?? 'number') : ($field === '' ? 'title' : $field);
    }
}
