<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Form\Passage;

/** A passage to practise: minutes a day with beginning it, what it is worth, and mean recall at the next meeting. */
final readonly class PracticePassage
{
    public function __construct(public Passage $passage, public float $minutes, public float $value, public float $recallWith, public float $recallWithout)
    {
    }
}
