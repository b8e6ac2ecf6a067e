<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use DateTimeZone;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\NotAllowed;

/** Reads the events of `gorvan:recall` and `gorvan:standing` (docs/formats/commands.md). */
final class RecordReader
{
    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public function read(string $json): ReadRecord
    {
        $root = JsonNode::parse($json);
        $zone = Instant::zone($root->required('timezone'));
        [$record, $warnings] = $this->events($root->required('events'), $zone);

        return new ReadRecord($zone, $record, [...$root->unknown(['timezone', 'events']), ...$warnings]);
    }

    /**
     * @param  (callable(string): bool)|null  $hasSides  whether an entry has sides that a mark may name; null where no side may be named
     * @return array{Record, list<Message>} the record, and what its reader did not know
     *
     * @throws \Gorvan\Core\Reading\BadInput with the JSON path
     */
    public function events(JsonNode $list, DateTimeZone $zone, ?callable $hasSides = null): array
    {
        $facts = $nodes = $warnings = [];
        foreach ($list->items() as $node) {
            $fact = self::fact($node, $zone, $hasSides);
            $facts[] = $fact;
            array_push($warnings, ...$node->unknown(['id', 'at', 'kind', ...match ($fact->kind) {
                FactKind::Withdraw => ['of'],
                FactKind::Mark => $hasSides === null ? ['entry', 'support'] : ['entry', 'support', 'side'],
                default => ['entry'],
            }]));
            $nodes[$fact->id] = $node;
        }
        try {
            $record = new Record($facts);
            $record->until(PHP_INT_MAX);
        } catch (RecordFault $fault) {
            throw Contradiction::inTheRecord($nodes[$fault->factId]->path, $fault->reason);
        }

        return [$record, $warnings];
    }

    /** @param  (callable(string): bool)|null  $hasSides */
    private static function fact(JsonNode $node, DateTimeZone $zone, ?callable $hasSides): Fact
    {
        $id = $node->required('id')->text(Fields::SHORT);
        $at = Instant::read($node->required('at'));
        $day = Day::of($at, $zone);
        $kind = $node->required('kind')->oneOf(FactKind::class);
        if ($kind === FactKind::Withdraw) {
            return Fact::withdraw($id, $node->required('of')->text(Fields::SHORT), null, $day, $at);
        }
        $entry = $node->required('entry')->text(Fields::SHORT);
        if ($kind !== FactKind::Mark) {
            return Fact::contact($id, $kind, Subject::entry($entry), $day, $at);
        }

        return Fact::mark($id, Subject::entry($entry), $day, $at, self::support($node->required('support')), $hasSides === null ? null : self::side($node->optional('side'), $entry, $hasSides));
    }

    private static function support(JsonNode $node): Support
    {
        return Support::named($node->text()) ?? throw NotAllowed::wanted(
            $node->path,
            array_map(static fn (Support $support): string => $support->name, Support::cases()),
            $node->value,
        );
    }

    /** @param  callable(string): bool  $hasSides */
    private static function side(?JsonNode $node, string $entry, callable $hasSides): ?Side
    {
        $side = $node?->oneOf(Side::class);
        if ($node === null || $side === null) {
            return null;
        }
        if ($side !== Side::Left && $side !== Side::Right) {
            throw NotAllowed::sideOnly($node->path);
        }

        return $hasSides($entry) ? $side : throw NotAllowed::noSides($node->path);
    }
}
