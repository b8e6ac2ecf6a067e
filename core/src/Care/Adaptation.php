<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/** What a caution says to do (engine 12): leave it out, smaller, a chair or wall near, another line for the limb, seated. */
enum Adaptation: string
{
    case Skip = 'skip';
    case Smaller = 'smaller';
    case Support = 'support';
    case Path = 'path';
    case Seated = 'seated';
}
