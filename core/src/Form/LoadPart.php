<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** One summand of an entry's demand, with its amount, so that a load can be shown as its parts. */
final readonly class LoadPart
{
    public function __construct(public LoadReason $reason, public float $amount)
    {
    }
}
