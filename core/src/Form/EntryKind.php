<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** What a row of a form is (engine 1). */
enum EntryKind: string
{
    case Movement = 'movement';
    case Connector = 'connector';
    case Opening = 'opening';
    case Closing = 'closing';
    case Extra = 'extra';

    /** An extra belongs to the session and not to the set: no load, no join, no place in the order. */
    public function countsInForm(): bool
    {
        return $this !== self::Extra;
    }
}
