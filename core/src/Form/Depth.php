<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** How low a variant stands. */
enum Depth: string
{
    case High = 'high';
    case Middle = 'middle';
    case Low = 'low';
}
