<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;

/** Reads the events file of `gorvan:recall` (docs/formats/commands.md). */
final class RecordReader
{
    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public function read(string $json): ReadRecord
    {
        $root = JsonNode::parse($json);
        $zone = Instant::zone($root->required('timezone'));
        $facts = [];
        $paths = [];
        $warnings = $root->unknown(['timezone', 'events']);
        foreach ($root->required('events')->items() as $node) {
            $fact = self::fact($node);
            $facts[] = $fact;
            array_push($warnings, ...$node->unknown(['id', 'at', 'kind', ...match ($fact->kind) {
                FactKind::Withdraw => ['of'],
                FactKind::Mark => ['entry', 'support'],
                default => ['entry'],
            }]));
            $paths[$fact->id] = $node;
        }
        try {
            (new Replay($zone))->on($facts, '9999-12-31');
        } catch (RecordFault $fault) {
            throw $paths[$fault->factId]->error($fault->getMessage());
        }

        return new ReadRecord($zone, $facts, $warnings);
    }

    private static function fact(JsonNode $node): Fact
    {
        $id = $node->required('id')->text(120);
        $at = Instant::read($node->required('at'));
        $kind = $node->required('kind')->oneOf(FactKind::class);
        if ($kind === FactKind::Withdraw) {
            return Fact::withdraw($id, $node->required('of')->text(120), $at);
        }
        $entry = $node->required('entry')->text(120);

        return match ($kind) {
            FactKind::Mark => Fact::mark($id, $entry, $at, self::support($node->required('support'))),
            FactKind::Taught => Fact::taught($id, $entry, $at),
            default => Fact::practice($id, $entry, $at),
        };
    }

    private static function support(JsonNode $node): Support
    {
        return Support::named($node->text()) ?? throw $node->error(
            'must be one of '.implode(', ', array_map(static fn (Support $support): string => $support->name, Support::cases())),
        );
    }
}
