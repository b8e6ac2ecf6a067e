<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** What a meeting should lead to: entries and movements taught by then, and the mean recall of the entries on the next meeting's day, over everyone. */
final readonly class Forecast implements Written
{
    public function __construct(public int $taught, public ?float $recall, public ?int $movements = null)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('taught')->whole(0, 600), $node->optional('recall')?->number(0, 1), $node->optional('movements')?->whole(0, 600));
    }

    public function toData(): stdClass
    {
        return Fields::written(['taught' => $this->taught, 'recall' => $this->recall, 'movements' => $this->movements]);
    }
}
