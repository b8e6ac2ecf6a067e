<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Breath;

/** One breath in or out, or a pause, of an entry. */
final readonly class BeatData
{
    public function __construct(
        public int $position,
        public Breath $breath,
        public ?float $seconds,
        public ?string $cue,
        public int $time,
    ) {
    }
}
