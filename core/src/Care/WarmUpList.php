<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\Repeated;
use stdClass;

/**
 * A school's warm-ups in their order, `gorvan.warm_ups/1`.
 *
 * @phpstan-type Data array{format: string, items: list<WarmUp>}
 */
final readonly class WarmUpList
{
    public const FORMAT = 'gorvan.warm_ups/1';

    public const KEYS = ['format', 'items'];

    /** More than anybody chooses from. */
    public const MOST = 60;

    /**
     * @param  list<WarmUp>  $items
     * @param  array<string, mixed>  $others
     */
    public function __construct(public array $items, public array $others = [])
    {
    }

    /** @throws BadInput with the JSON path */
    public static function read(JsonNode $node): self
    {
        $format = $node->required('format');
        if ($format->text() !== self::FORMAT) {
            throw NotAllowed::format($format->path, self::FORMAT);
        }
        $items = array_map(WarmUp::read(...), $node->required('items')->itemsAtMost(self::MOST));
        $seen = [];
        foreach ($items as $at => $item) {
            if (isset($seen[$item->id])) {
                throw Repeated::inList("$node->path.items[$at].id", $item->id);
            }
            $seen[$item->id] = true;
        }

        return new self($items, $node->others(self::KEYS));
    }

    public function toData(): stdClass
    {
        return Fields::beside(['format' => self::FORMAT, 'items' => array_map(static fn (WarmUp $item): stdClass => $item->toData(), $this->items)], $this->others);
    }

    public function json(): string
    {
        return json_encode($this->toData(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /**
     * @param  list<string>  $ids
     * @return list<WarmUp> in the order of the ids; one that is in the list no more is left out
     */
    public function named(array $ids): array
    {
        $by = array_column($this->items, null, 'id');

        return array_values(array_filter(array_map(static fn (string $id): ?WarmUp => $by[$id] ?? null, $ids)));
    }
}
