<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** How an entry says how often, or how long. */
enum RepetitionKind: string
{
    case Fixed = 'fixed';
    case Nested = 'nested';
    case Alternating = 'alternating';
    case Timed = 'timed';
    case Breaths = 'breaths';
    case UntilTold = 'until_told';
    case Unread = 'unread';
}
