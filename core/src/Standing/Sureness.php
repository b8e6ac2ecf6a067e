<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** How sure we still are of an entry: recall good enough to hold, good enough to pass, or neither (engine 10). */
enum Sureness: string
{
    case Good = 'good';
    case Fading = 'fading';
    case Weak = 'weak';
}
