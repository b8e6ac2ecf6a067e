<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Passage;

/** A passage chosen for review: what it is worth, and its minutes with setting up, in quarters. */
final readonly class ChosenPassage
{
    public function __construct(public Passage $passage, public float $value, public float $minutes)
    {
    }
}
