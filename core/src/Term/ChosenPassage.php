<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Passage;

/** A passage chosen for review: what it gains, its minutes with setting up, in quarters, and what that is worth beside their price. */
final readonly class ChosenPassage
{
    public function __construct(public Passage $passage, public float $value, public float $minutes, public float $worth)
    {
    }
}
