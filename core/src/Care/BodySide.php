<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/** The side of the body that is spared; it is said to whoever may know it, and both sides are cared for. */
enum BodySide: string
{
    case Left = 'left';
    case Right = 'right';
}
