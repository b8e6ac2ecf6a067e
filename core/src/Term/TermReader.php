<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DateTimeImmutable;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Malformed;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\OutOfRange;
use Gorvan\Core\Reading\Repeated;
use Gorvan\Core\Reading\TooMany;

/** Reads the term file of `gorvan:dates` (docs/formats/commands.md). */
final class TermReader
{
    private const MAX_ROWS = 50;

    private const MAX_CLOSURES = 200;

    /** @throws BadInput with the JSON path */
    public function read(string $json): Term
    {
        return $this->readNode(JsonNode::parse($json));
    }

    private const KEYS = ['from', 'to', 'timezone', 'pattern', 'closures'];

    /**
     * @param  list<string>  $known  keys that are read elsewhere
     *
     * @throws BadInput
     */
    public function readNode(JsonNode $root, array $known = []): Term
    {
        $from = Instant::day($root->required('from'));
        $last = $root->required('to');
        $to = Instant::day($last);
        if ($to < $from) {
            throw Contradiction::endsBeforeItStarts($last->path, 'term', $from, $to);
        }
        if ((int) (new DateTimeImmutable($from))->diff(new DateTimeImmutable($to))->days > Term::MAX_DAYS) {
            throw OutOfRange::termTooLong($last->path);
        }
        $pattern = $root->required('pattern');
        $rows = array_map(self::weekly(...), self::atMost($pattern, self::MAX_ROWS));
        if ($rows === []) {
            throw Missing::pattern($pattern->path);
        }
        self::refuseRepeats($rows, $pattern);
        $closed = $root->optional('closures');
        $closures = $closed === null ? [] : self::atMost($closed, self::MAX_CLOSURES);

        return new Term(
            $from,
            $to,
            Instant::zone($root->required('timezone')),
            $rows,
            array_map(self::closure(...), $closures),
            [
                ...$root->unknown([...self::KEYS, ...$known]),
                ...array_merge(...array_map(static fn (JsonNode $row): array => $row->unknown(['weekday', 'at', 'minutes']), $pattern->items())),
                ...array_merge(...array_map(static fn (JsonNode $row): array => $row->unknown(['from', 'to']), $closures)),
            ],
        );
    }

    /** @return list<JsonNode> */
    private static function atMost(JsonNode $node, int $most): array
    {
        $items = $node->items();

        return count($items) > $most ? throw TooMany::items($node->path, 'rows', $most) : $items;
    }

    private static function weekly(JsonNode $node): WeeklyMeeting
    {
        $at = $node->required('at');
        if (preg_match('/^(?:[01]\d|2[0-3]):[0-5]\d$/D', $at->text()) !== 1) {
            throw Malformed::text($at->path, 'time', $at->text());
        }

        return new WeeklyMeeting(
            $node->required('weekday')->oneOf(Weekday::class),
            $at->text(),
            $node->required('minutes')->whole(1, 1440),
        );
    }

    private static function closure(JsonNode $node): Closure
    {
        $closure = new Closure(Instant::day($node->required('from')), Instant::day($node->required('to')));
        if ($closure->to < $closure->from) {
            throw Contradiction::endsBeforeItStarts($node->path, 'closure', $closure->from, $closure->to);
        }

        return $closure;
    }

    /** @param  list<WeeklyMeeting>  $rows */
    private static function refuseRepeats(array $rows, JsonNode $pattern): void
    {
        $seen = [];
        foreach ($rows as $at => $row) {
            $key = "{$row->weekday->value} $row->at";
            if (isset($seen[$key])) {
                throw Repeated::weekday("$pattern->path[$at]", $key);
            }
            $seen[$key] = true;
        }
    }
}
