<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

/** What is edited of a set of principles. */
enum SetEditKind: string
{
    case Put = 'put';

    case Remove = 'remove';

    case Order = 'order';

    case Head = 'head';
}
