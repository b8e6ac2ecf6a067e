<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** What a difference counts: the repetitions of an entry, or its sides. */
enum DifferenceOf: string
{
    case Repetitions = 'repetitions';
    case Sides = 'sides';
}
