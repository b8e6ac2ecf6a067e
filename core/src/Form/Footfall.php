<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** The part of the foot that lands first. */
enum Footfall: string
{
    case Heel = 'heel';
    case Toe = 'toe';
    case Flat = 'flat';
    case None = 'none';
}
