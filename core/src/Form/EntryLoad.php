<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** What one entry adds to learn: `load = demand x newness + join`. */
final readonly class EntryLoad
{
    public float $load;

    /** @param  list<LoadPart>  $parts what the demand is made of */
    public function __construct(
        public int $position,
        public float $demand,
        public float $newness,
        public float $join,
        public array $parts,
    ) {
        $this->load = $demand * $newness + $join;
    }
}
