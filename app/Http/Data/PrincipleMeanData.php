<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What a group recalls of a principle on average. */
final readonly class PrincipleMeanData
{
    /**
     * @param  float|null  $mean  0..1; who never met it counts as nothing
     * @param  bool  $slips  worked on, and not recalled any more
     */
    public function __construct(
        public string $principle,
        public ?float $mean,
        public bool $slips,
        public int $met,
    ) {
    }
}
