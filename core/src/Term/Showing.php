<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** The day `Y-m-d` by which a course must hold, up to an entry (by id). */
final readonly class Showing implements Written
{
    public function __construct(public string $on, public string $to)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(Instant::day($node->required('on')), $node->required('to')->text(Fields::SHORT));
    }

    public function toData(): stdClass
    {
        return (object) ['on' => $this->on, 'to' => $this->to];
    }
}
