<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Time;

use Gorvan\Core\Form\Breath;

/** One breath in or out, or a pause, of an entry. */
final readonly class BreathBeat
{
    /**
     * @param  int  $position  of the entry
     * @param  float|null  $seconds  null lasts until told
     * @param  string|null  $cue  what is said, as written
     * @param  int  $time  which repetition of the entry, from 1
     */
    public function __construct(public int $position, public Breath $breath, public ?float $seconds, public ?string $cue = null, public int $time = 1)
    {
    }
}
