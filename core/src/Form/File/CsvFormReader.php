<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\KinshipReader;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\CsvCell;
use Gorvan\Core\Reading\CsvRows;
use Gorvan\Core\Reading\Malformed;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\Repeated;
use Gorvan\Core\Reading\SeveralProblems;
use Gorvan\Core\Reading\TooMany;
use Gorvan\Core\Reading\Unreadable;

/**
 * Reads a form from CSV: a header row that names the columns, then one row an entry. Comma, semicolon or tab, with or
 * without a byte-order mark. Everything that is wrong is told at once, each with its line.
 */
final class CsvFormReader
{
    /** What people call the columns. */
    private const NAMES = ['no' => 'number', 'nr' => 'number', '#' => 'number', 'name' => 'title', 'movement' => 'title', 'posture' => 'title',
        'repetitions' => 'repetition', 'reps' => 'repetition', 'times' => 'repetition', 'weight' => 'weight_end', 'part' => 'section',
        'page' => 'booklet_page', 'booklet' => 'booklet_number'];

    /**
     * Whether the first line of a text reads as the header of such a file: several columns that such a file has, or the one
     * column `title`. A header of several that does not say `title` is one with a fault, and no list.
     */
    public static function recognises(string $text): bool
    {
        $start = implode("\n", array_slice(preg_split('/\r\n|\r|\n/', ltrim($text, "\u{FEFF}\r\n"), 3) ?: [], 0, 2));
        $head = self::names(array_values(CsvRows::of($start)->rows)[0] ?? []);

        return count($head) > 1 ? in_array('title', $head, true) || count(array_intersect($head, CsvFormWriter::header())) > 1 : $head === ['title'];
    }

    /**
     * @param  string  $title  of the form, which the rows do not say
     *
     * @throws BadInput
     */
    public function read(string $text, string $title): ReadForm
    {
        $read = CsvRows::of($text);
        $rows = $read->rows;
        if ($rows === [] && $read->problems !== []) {
            throw SeveralProblems::all($read->problems);
        }
        $head = self::names(array_shift($rows) ?? throw Unreadable::empty());
        $wrong = [...$read->problems, ...self::wrongHead($head)];
        if ($wrong !== [] && ! in_array('title', $head, true)) {
            throw SeveralProblems::all($wrong); // no row could say what it is
        }
        if (count($rows) > Form::MAX_ENTRIES) {
            $wrong[] = TooMany::entries(Form::MAX_ENTRIES, count($rows), (int) array_keys($read->rows)[Form::MAX_ENTRIES + 1]);
            $rows = [];
        }
        $known = array_intersect($head, CsvFormWriter::header());
        $entries = $sections = $lines = $ids = $made = [];
        $column = array_search('id', $head, true);
        $said = $column === false ? [] : array_flip(array_map(static fn (array $row): string => trim(CsvCell::unguarded($row[$column] ?? '')), $rows));
        foreach (array_combine(array_slice(array_keys($read->rows), 1, count($rows)), $rows) as $line => $row) {
            try {
                $cells = self::cells($row, $head, $line);
                $id = trim($cells['id'] ?? '');
                if ($id === '') {
                    $made[] = $id = self::freeId(count($entries) + 1, $said + $ids);
                }
                if (isset($ids[$id])) {
                    throw Repeated::idOnLine($id, $ids[$id]);
                }
                $ids[$id] = $line;
                $section = trim($cells['section'] ?? '');
                if ($read->separator === ';' && preg_match('/^\s*[+-]?\d+,\d+\s*$/', $cells['travel'] ?? '') === 1) {
                    throw Malformed::text('travel', 'travel_either', trim($cells['travel']));
                }
                $entries[] = self::entry($cells, $id);
                $sections[] = $section;
                $lines[] = $line;
            } catch (BadInput $e) {
                $wrong[] = $e->movedTo((string) $line, $e->place === '' || ctype_digit($e->place) ? null : Message::of('reading.column', column: $e->place, says: $e->reason));
            }
        }
        if ($wrong !== []) {
            usort($wrong, static fn (BadInput $a, BadInput $b): int => (int) $a->place <=> (int) $b->place);
            throw SeveralProblems::all($wrong);
        }
        if ($entries === []) {
            throw Missing::rows();
        }
        $inferred = array_intersect(['returns', 'mirrors'], $known) === [] ? (new KinshipReader)->suppose($entries) : [];

        return new ReadForm(
            new Form($title, KinshipReader::related($entries, $inferred), self::sections($sections)),
            $inferred,
            [...array_values(array_map(static fn (string $name): Message => Message::of('reading.unknown_column', name: $name), array_diff($head, CsvFormWriter::header(), ['']))), ...self::leadingNowhere($entries, $lines)],
            self::carries($known),
            in_array('id', $known, true),
            $lines,
            in_array('id', $known, true) ? $made : [],
        );
    }

    /**
     * An id that no row has: the one of its place, or else the next that is free.
     *
     * @param  array<string, int>  $taken
     */
    private static function freeId(int $place, array $taken): string
    {
        while (isset($taken[PlainListReader::id($place)])) {
            $place++;
        }

        return PlainListReader::id($place);
    }

    /**
     * References to entries that are not there; they are kept, and the audit offers to take them out.
     *
     * @param  list<Entry>  $entries
     * @param  list<int>  $lines
     * @return list<Message>
     */
    private static function leadingNowhere(array $entries, array $lines): array
    {
        $ids = array_flip(array_map(static fn (Entry $entry): string => $entry->id, $entries));
        $warnings = [];
        foreach ($entries as $at => $entry) {
            foreach (['returns' => $entry->returns, 'mirrors' => $entry->mirrors] as $column => $id) {
                if ($id !== null && ! isset($ids[$id])) {
                    $warnings[] = Message::of("reading.nowhere_$column", line: $lines[$at], id: $id);
                }
            }
        }

        return $warnings;
    }

    /**
     * @param  array<string>  $row
     * @return list<string>
     */
    private static function names(array $row): array
    {
        return array_values(array_map(static function (string $name): string {
            $plain = str_replace([' ', '-'], '_', mb_strtolower(trim((string) preg_replace('/[\s\p{Z}]+/u', ' ', CsvCell::unguarded($name)))));

            return self::NAMES[$plain] ?? $plain;
        }, $row));
    }

    /**
     * @param  list<string>  $head
     * @return list<BadInput>
     */
    private static function wrongHead(array $head): array
    {
        $wrong = in_array('title', $head, true) ? [] : [Missing::titleColumn()];
        foreach (array_count_values($head) as $name => $times) {
            if ($times > 1 && $name !== '') {
                $wrong[] = Repeated::column($name, $times);
            }
        }

        return $wrong;
    }

    /**
     * @param  array<string>  $row
     * @param  list<string>  $head
     * @return array<string, string>
     *
     * @throws BadInput
     */
    private static function cells(array $row, array $head, int $line): array
    {
        if (count($row) > count($head)) {
            throw Unreadable::tooManyCells($line, count($row), count($head));
        }
        $cells = [];
        foreach (array_values($row) as $at => $cell) {
            if (in_array($head[$at], CsvFormWriter::header(), true)) {
                $cells[$head[$at]] = CsvCell::unguarded($cell);
            }
        }

        return $cells;
    }

    /**
     * @param  array<string, string>  $cells
     *
     * @throws BadInput
     */
    private static function entry(array $cells, string $id): Entry
    {
        $title = trim($cells['title'] ?? '');
        if ($title === '') {
            throw Missing::text('title');
        }
        unset($cells['id'], $cells['section']);
        if (trim($cells['kind'] ?? '') === '') {
            $cells['kind'] = PlainListReader::kindOf($title)->value;
        }

        return (new EntryCells)->written(new Entry($id, EntryKind::Movement, $title), $cells);
    }

    /**
     * @param  list<string>  $titles  of the section each entry stands in, empty for a gap
     * @return list<Section>
     */
    private static function sections(array $titles): array
    {
        $sections = [];
        $first = 0;
        foreach ($titles as $at => $title) {
            if ($title !== ($titles[$at + 1] ?? null)) {
                if ($title !== '') {
                    $sections[] = new Section($title, $first + 1, $at + 1);
                }
                $first = $at + 1;
            }
        }

        return $sections;
    }

    /**
     * @param  array<string>  $columns
     * @return list<string> fields of an entry
     */
    private static function carries(array $columns): array
    {
        $fields = array_map(static fn (string $column): string => str_starts_with($column, 'booklet_') ? 'booklet' : $column, array_diff($columns, ['id', 'section']));

        return array_values(array_unique($fields));
    }
}
