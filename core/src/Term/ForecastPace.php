<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** The pace a course takes in its term, and the one it would need to come to the end of its target (engine 4, 9). */
final readonly class ForecastPace implements Written
{
    /**
     * @param  float  $minutes  a unit of load takes, in the round its lessons are made for
     * @param  float  $movements  an evening
     * @param  float|null  $needed  movements an evening, on the evenings that are left for lessons; null where none is left
     */
    public function __construct(public float $minutes, public float $movements, public ?float $needed)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('minutes')->number(0, 1440), $node->required('movements')->number(0, 600), $node->optional('needed')?->number(0, 600));
    }

    public function toData(): stdClass
    {
        return (object) array_filter(['minutes' => $this->minutes, 'movements' => $this->movements, 'needed' => $this->needed], static fn (?float $of): bool => $of !== null);
    }
}
