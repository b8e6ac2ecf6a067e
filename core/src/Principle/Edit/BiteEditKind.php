<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

/** What is changed of where principles bite. */
enum BiteEditKind: string
{
    case Sweep = 'sweep';

    case States = 'states';

    case Copy = 'copy';

    case Put = 'put';
}
