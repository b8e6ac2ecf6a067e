<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/**
 * What a caution says to do (engine 12): leave it out, seated, a chair or wall near, another line for the limb, smaller. The
 * strictest is first.
 */
enum Adaptation: string
{
    case Skip = 'skip';
    case Seated = 'seated';
    case Support = 'support';
    case Path = 'path';
    case Smaller = 'smaller';

    /** @return int 0 for the strictest */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
