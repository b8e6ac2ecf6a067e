<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DateTimeImmutable;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;

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

    /** @throws BadInput */
    public function readNode(JsonNode $root): Term
    {
        $from = Instant::day($root->required('from'));
        $last = $root->required('to');
        $to = Instant::day($last);
        if ($to < $from) {
            throw $last->error("the term ends on $to, before it starts on $from");
        }
        if ((int) (new DateTimeImmutable($from))->diff(new DateTimeImmutable($to))->days > Term::MAX_DAYS) {
            throw $last->error('the term is longer than ten years');
        }
        $pattern = $root->required('pattern');
        $rows = array_map(self::weekly(...), self::atMost($pattern, self::MAX_ROWS));
        if ($rows === []) {
            throw $pattern->error('say at least one weekday and time');
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
                ...$root->unknown(['from', 'to', 'timezone', 'pattern', 'closures']),
                ...array_merge(...array_map(static fn (JsonNode $row): array => $row->unknown(['weekday', 'at', 'minutes']), $pattern->items())),
                ...array_merge(...array_map(static fn (JsonNode $row): array => $row->unknown(['from', 'to']), $closures)),
            ],
        );
    }

    /** @return list<JsonNode> */
    private static function atMost(JsonNode $node, int $most): array
    {
        $items = $node->items();

        return count($items) > $most ? throw $node->error("has more than $most rows") : $items;
    }

    private static function weekly(JsonNode $node): WeeklyMeeting
    {
        $at = $node->required('at');
        if (preg_match('/^(?:[01]\d|2[0-3]):[0-5]\d$/D', $at->text()) !== 1) {
            throw $at->error("\"{$at->text()}\" is not a time of day like 19:30");
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
            throw $node->error("the closure ends on $closure->to, before it starts on $closure->from");
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
                throw BadInput::at("$pattern->path[$at]", "$key stands twice in the pattern");
            }
            $seen[$key] = true;
        }
    }
}
