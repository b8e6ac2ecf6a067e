<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;

/**
 * Reads the changes a page sends: `{"what": …}` and what that kind of change needs.
 *
 * @phpstan-type Data array{what: SetEditKind, principle?: Principle, id?: string, ids?: list<string>, title?: string, about?: string|null, families?: list<string>, renamed?: array<string, string>}
 */
final class SetEditReader
{
    private const MOST = 200;

    /** @return list<SetEdit> @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(JsonNode $node): array
    {
        return array_map(self::one(...), $node->itemsAtMost(self::MOST));
    }

    private static function one(JsonNode $node): SetEdit
    {
        $texts = static fn (?JsonNode $list): array => array_map(static fn (JsonNode $one): string => $one->text(), $list?->itemsAtMost(PrincipleSet::MOST_FAMILIES) ?? []);

        return match ($node->required('what')->oneOf(SetEditKind::class)) {
            SetEditKind::Put => new PutPrinciple(Principle::read($node->required('principle'))),
            SetEditKind::Remove => new RemovePrinciple($node->required('id')->text(Fields::SHORT)),
            SetEditKind::Order => new OrderPrinciples(Fields::ids($node->required('ids'))),
            SetEditKind::Head => new SayHead(
                $node->required('title')->text(),
                $node->optional('about')?->text(Fields::LONG),
                array_values(array_unique($texts($node->optional('families')))),
                self::renamed($node->optional('renamed')),
            ),
        };
    }

    /** @return array<string, string> */
    private static function renamed(?JsonNode $node): array
    {
        $renamed = [];
        foreach ($node?->others([]) ?? [] as $from => $to) {
            $renamed[(string) $from] = JsonNode::of($to, "{$node?->path}.$from")->text();
        }

        return $renamed;
    }
}
