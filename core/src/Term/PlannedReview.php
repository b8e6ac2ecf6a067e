<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** A known passage to go through again: entries by id, how often, the minutes it takes, and the numbers that put it there. */
final readonly class PlannedReview implements Written
{
    /**
     * @param  list<string>  $entries
     * @param  array<string, mixed>  $why  `recall`: mean recall on the day
     */
    public function __construct(public array $entries, public int $passes, public float $minutes, public array $why = [])
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            Fields::ids($node->required('entries')),
            $node->required('passes')->whole(0, 99),
            $node->required('minutes')->number(0, 1440),
            $node->optional('why')?->others([]) ?? [],
        );
    }

    public function toData(): stdClass
    {
        return (object) ['entries' => $this->entries, 'passes' => $this->passes, 'minutes' => $this->minutes, 'why' => (object) $this->why];
    }
}
