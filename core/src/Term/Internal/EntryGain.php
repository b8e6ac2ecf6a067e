<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

/**
 * What practising an entry at a meeting is worth: the mean gain over who comes, mean recall at the next meeting with it and
 * without it, and the gain of each student (summed over the copies).
 *
 * @internal
 */
final readonly class EntryGain
{
    /** @param  array<array-key, float>  $byStudent */
    public function __construct(public float $gain, public float $with, public float $without, public array $byStudent)
    {
    }
}
