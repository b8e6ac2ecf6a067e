<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/** What a warm-up is for. Openings, check-ins, closings and rests stand in the school's list and are never chosen for a joint. */
enum WarmUpKind: string
{
    case General = 'general';
    case Joint = 'joint';
    case Opening = 'opening';
    case CheckIn = 'check_in';
    case Closing = 'closing';
    case Rest = 'rest';
}
