<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

/** What is edited of a form. */
enum EditKind: string
{
    case Set = 'set';

    case Insert = 'insert';

    case Remove = 'remove';

    case Move = 'move';

    case Split = 'split';

    case Merge = 'merge';

    case Mirror = 'mirror';

    case Renumber = 'renumber';

    case Form = 'form';

    case Section = 'section';

    case Accept = 'accept';
}
