<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use Gorvan\Core\Record\RunOrder;
use stdClass;

/** A run-through: entries by id in the order in which they are gone through, how often, and what order that is. */
final readonly class PlannedRun implements Written
{
    /** @param  list<string>  $entries */
    public function __construct(public array $entries = [], public int $times = 1, public RunOrder $order = RunOrder::AsWritten)
    {
    }

    /** Of `gorvan.plan/2`; of `/1`, which has a list of entries. @throws \Gorvan\Core\Reading\BadInput */
    public static function read(?JsonNode $node): self
    {
        return match (true) {
            $node === null => new self,
            is_array($node->value) => new self(Fields::ids($node)),
            default => new self(Fields::ids($node->required('entries')), $node->optional('times')?->whole(1, 99) ?? 1, $node->optional('order')?->oneOf(RunOrder::class) ?? RunOrder::AsWritten),
        };
    }

    public function toData(): stdClass
    {
        return (object) ['entries' => $this->entries, 'times' => $this->times, 'order' => $this->order->value];
    }
}
