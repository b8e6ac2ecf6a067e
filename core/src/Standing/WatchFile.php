<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Repeated;

/** The problem file of `gorvan:watch` (docs/formats/commands.md). */
final readonly class WatchFile
{
    private const MOST = 1000;

    /** @param  list<\Gorvan\Core\Reading\Message>  $warnings */
    private function __construct(public WatchList $list, public array $warnings)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(string $json): self
    {
        $root = JsonNode::parse($json);
        $warnings = $root->unknown(['students', 'tonight', 'other', 'limit']);
        $students = [];
        foreach ($root->required('students')->itemsAtMost(self::MOST) as $node) {
            array_push($warnings, ...$node->unknown(['id', 'attended_since_mark', 'recall', 'away', 'missed', 'weak']));
            $student = self::student($node);
            $students[$student->id] = isset($students[$student->id]) ? throw Repeated::inList("$node->path.id", $student->id) : $student;
        }
        $tonight = $root->optional('tonight');
        array_push($warnings, ...$tonight?->unknown(['recap', 'review', 'run_through']) ?? []);
        $passages = static fn (?JsonNode $list): array => array_map(Fields::ids(...), $list?->itemsAtMost(self::MOST) ?? []);

        return new self(WatchList::of(
            array_values($students),
            WatchPassage::of(Fields::ids($tonight?->optional('recap')), $passages($tonight?->optional('review')), Fields::ids($tonight?->optional('run_through')), $passages($root->optional('other'))),
            $root->optional('limit')?->whole(0, self::MOST) ?? WatchList::SHOWN,
        ), $warnings);
    }

    private static function student(JsonNode $node): Watchable
    {
        $recalls = [];
        $said = $node->required('recall');
        foreach (get_object_vars($said->object()) as $entry => $recall) {
            $recalls[(string) $entry] = JsonNode::of($recall, "$said->path.$entry")->number(0, 1);
        }

        return new Watchable($node->required('id')->text(Fields::SHORT), $node->optional('attended_since_mark')?->whole(0, 100_000), $recalls, $node->optional('away')?->whole(0, 100_000) ?? 0, Fields::ids($node->optional('missed')), Fields::ids($node->optional('weak')));
    }
}
