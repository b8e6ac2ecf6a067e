<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** Why an entry of the recap keeps a student from being ready. */
enum NotReady: string
{
    case NeverMet = 'never_met';

    /** Last seen Unmet or Following. */
    case Following = 'following';

    /** Seen, and recall has fallen under 0.6. */
    case Fading = 'fading';

    /** Never seen, and recall has fallen under 0.5. */
    case Faded = 'faded';

    /** Taught, and nobody has looked. */
    case NotSeen = 'not_seen';

    public function readiness(): Readiness
    {
        return $this === self::NotSeen ? Readiness::Look : Readiness::NotYet;
    }
}
