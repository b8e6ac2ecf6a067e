<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Time;

use Gorvan\Core\Form\Form;

/** How fast a passage is run through. */
enum Pace: string
{
    case ClassPace = 'class';
    case Half = 'half';
    case Showing = 'showing';

    /** *Default*: a showing takes four fifths of the time of a class; a form can state its own. */
    public const SHOWING = 0.8;

    /** Its time over the time at class pace; half the speed takes twice the time. */
    public function factor(Form $form): float
    {
        return match ($this) {
            self::ClassPace => 1.0,
            self::Half => 2.0,
            self::Showing => $form->showingPace ?? self::SHOWING,
        };
    }
}
