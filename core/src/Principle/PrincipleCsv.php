<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

use Gorvan\Core\Form\CommonError;
use Gorvan\Core\Form\PostureState;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\CsvCell;
use Gorvan\Core\Reading\CsvRows;
use Gorvan\Core\Reading\CsvText;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Malformed;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\Repeated;
use Gorvan\Core\Reading\SeveralProblems;
use Gorvan\Core\Reading\Unreadable;
use stdClass;

/**
 * A set of principles as CSV (RFC 4180): a header, then one row a principle, in UTF-8. What there are several of stands one a
 * line within its cell; an error and its mend are parted by `=>`, a part of the body and its state by `=`.
 */
final class PrincipleCsv
{
    private const COLUMNS = ['id', 'title', 'family', 'says', 'look', 'errors', 'after', 'states'];

    public static function written(PrincipleSet $set): string
    {
        return CsvText::of([self::COLUMNS, ...array_map(static fn (Principle $one): array => [
            $one->id, $one->title, (string) $one->family, (string) $one->says,
            implode("\n", array_map(self::oneLine(...), $one->look)),
            implode("\n", array_map(static fn (CommonError $error): string => self::oneLine($error->wrong).' => '.self::oneLine($error->right), $one->errors)),
            implode("\n", $one->after),
            implode("\n", array_map(static fn (PostureState $state): string => "$state->part = $state->state", $one->states)),
        ], $set->principles)]);
    }

    /**
     * @param  string  $title  of the set, which a row cannot say
     *
     * @throws BadInput with the line
     */
    public static function read(string $text, string $title): PrincipleSet
    {
        $read = CsvRows::of($text);
        if ($read->problems !== []) {
            throw SeveralProblems::all($read->problems);
        }
        $rows = $read->rows;
        $head = array_map(static fn (string $cell): string => strtolower(trim($cell)), array_values($rows)[0] ?? []);
        self::checkHead($head);
        $problems = $principles = [];
        if (count($rows) < 2) {
            throw Missing::rows();
        }
        foreach (array_slice($rows, 1, null, true) as $line => $row) {
            try {
                $principles[$line] = self::principle($line, $head, $row);
            } catch (BadInput $e) {
                $problems[] = $e;
            }
        }
        if ($problems !== []) {
            throw SeveralProblems::all($problems);
        }

        return self::set($title, $principles);
    }

    /** Lines part what there are several of, so that none has one of its own. */
    private static function oneLine(string $text): string
    {
        return trim((string) preg_replace('/\s*\R\s*/u', ' ', $text));
    }

    /** @param  list<string>  $head */
    private static function checkHead(array $head): void
    {
        if (! in_array('title', $head, true)) {
            throw Missing::titleColumn();
        }
        foreach (array_count_values($head) as $name => $times) {
            if ($times > 1) {
                throw Repeated::column((string) $name, $times);
            }
        }
        foreach (array_diff($head, self::COLUMNS) as $name) {
            throw NotAllowed::csvColumn($name, self::COLUMNS);
        }
    }

    /**
     * @param  list<string>  $head
     * @param  list<string>  $row
     */
    private static function principle(int $line, array $head, array $row): Principle
    {
        if (count($row) > count($head)) {
            throw Unreadable::tooManyCells($line, count($row), count($head));
        }
        /** @var array<string, string> $cells */
        $cells = [];
        foreach ($head as $at => $name) {
            $cells[$name] = trim(CsvCell::unguarded($row[$at] ?? ''));
        }
        /** @return list<string> */
        $lines = static fn (string $name): array => array_values(array_filter(array_map(trim(...), explode("\n", $cells[$name] ?? '')), static fn (string $one): bool => $one !== ''));
        $pairs = static fn (string $name, string $by, string $first, string $second): array => array_map(static fn (string $one): stdClass => self::pair($line, $one, $by, $first, $second), $lines($name));
        $data = (object) array_filter([
            'id' => ($cells['id'] ?? '') === '' ? "row$line" : $cells['id'],
            'title' => $cells['title'],
            'family' => ($cells['family'] ?? '') === '' ? null : $cells['family'],
            'says' => ($cells['says'] ?? '') === '' ? null : $cells['says'],
            'look' => $lines('look'),
            'errors' => $pairs('errors', '=>', 'wrong', 'right'),
            'after' => $lines('after'),
            'states' => $pairs('states', '=', 'part', 'state'),
        ], static fn (mixed $one): bool => $one !== null);
        try {
            return Principle::read(JsonNode::of($data, (string) $line));
        } catch (BadInput $e) {
            throw $e->movedTo((string) $line);
        }
    }

    private static function pair(int $line, string $text, string $by, string $first, string $second): stdClass
    {
        $at = strpos($text, $by);
        [$one, $other] = $at === false ? ['', ''] : [trim(substr($text, 0, $at)), trim(substr($text, $at + strlen($by)))];

        return $one !== '' && $other !== '' ? (object) [$first => $one, $second => $other] : throw Malformed::pair((string) $line, $text, $by);
    }

    /** @param  array<int, Principle>  $principles  by line */
    private static function set(string $title, array $principles): PrincipleSet
    {
        $families = [];
        foreach ($principles as $one) {
            $one->family === null || $families[$one->family] = $one->family;
        }
        $lines = array_keys($principles);
        try {
            return PrincipleSet::of($title, null, array_values($families), array_values($principles));
        } catch (BadInput $e) {
            throw preg_match('/^\$\.principles\[(\d+)\]/', $e->place, $at) === 1 ? $e->movedTo((string) $lines[(int) $at[1]]) : $e;
        }
    }
}
