<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** In what way something is lacking (engine 10). */
enum CatchUpKind: string
{
    /** Taught while they were away or no member, and not made up for. */
    case Missed = 'missed';

    /** Does not pass, before the furthest that does. */
    case Hole = 'hole';

    /** Does not pass, after it. */
    case Behind = 'behind';
}
