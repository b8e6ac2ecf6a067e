<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use stdClass;

/**
 * How the parts of a form file are written and read: what is not known is left out, what is not understood is kept.
 */
final class Fields
{
    public const SHORT = 120;

    /** A description, a cue, what to look for. */
    public const LONG = 2000;

    /** More of one thing than anybody writes to one entry. */
    public const MOST_ITEMS = 100;

    public const MOST_IDS = 1000;

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, mixed>  $others
     */
    public static function written(array $fields, array $others = []): stdClass
    {
        return self::beside(array_filter($fields, static fn (mixed $value): bool => $value !== null && $value !== []), $others);
    }

    /**
     * What is known, and beside it what came with it and is not understood. Keys that read as numbers ("2026") stay as they are.
     *
     * @param  array<mixed>  $fields
     * @param  array<mixed>  $others
     */
    public static function beside(array $fields, array $others): stdClass
    {
        return (object) ($fields + $others);
    }

    /**
     * @template T
     *
     * @param  callable(JsonNode): T  $read
     * @return list<T>
     *
     * @throws \Gorvan\Core\Reading\BadInput
     */
    public static function each(?JsonNode $node, callable $read): array
    {
        $items = $node?->items() ?? [];
        if ($node !== null && count($items) > self::MOST_ITEMS) {
            throw TooMany::items($node->path, 'items', self::MOST_ITEMS);
        }

        return array_map($read, $items);
    }

    /**
     * Ids of entries, students and the like.
     *
     * @return list<string>
     */
    public static function ids(?JsonNode $node): array
    {
        return $node?->texts(self::MOST_IDS, self::SHORT) ?? [];
    }

    /** @return list<string> */
    public static function texts(?JsonNode $node): array
    {
        return self::each($node, static fn (JsonNode $item): string => $item->text(self::LONG));
    }
}
