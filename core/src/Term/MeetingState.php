<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** Whether a meeting is one of the weekly pattern, one added to it, or one that does not take place. */
enum MeetingState: string
{
    case Laid = 'laid';
    case Added = 'added';
    case Cancelled = 'cancelled';

    public function takesPlace(): bool
    {
        return $this !== self::Cancelled;
    }
}
