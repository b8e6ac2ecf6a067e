<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** One part of a running order: which it is, and what it takes, in minutes or by its share; neither for what is usual. */
final readonly class RunningPart
{
    /**
     * @param  int|null  $minutes  whole, as long as that at every class
     * @param  int|null  $share  beside the other parts, where it has no minutes
     */
    public function __construct(public Box $kind, public ?int $minutes = null, public ?int $share = null)
    {
    }
}
