<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** Why somebody is to be looked at. */
enum WatchReason: string
{
    /** They were away at the last class or longer, and lack something of tonight's. */
    case Back = 'back';

    /** Nobody ever marked them. */
    case NeverMarked = 'never_marked';

    /** They came to three meetings or more, and nobody marked them. */
    case LongUnseen = 'long_unseen';

    /** What they still know is least certain. */
    case Unsure = 'unsure';
}
