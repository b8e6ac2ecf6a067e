<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Term\KnownEntry;

/** An entry that somebody has met and may practise: what they remember, how long it takes once, and how much it matters. */
final readonly class PracticeItem
{
    /** Of the recap of the next lesson (engine 18). */
    public const LEADS_ON = 1.5;

    /** @param  float  $seconds  of going through it once, 0 or more */
    public function __construct(public KnownEntry $known, public float $seconds, public float $weight = 1.0)
    {
    }
}
