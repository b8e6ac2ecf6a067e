<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

/** Who moves in a step of a lesson. */
enum StepMode: string
{
    case Watch = 'watch';
    case Together = 'together';
    case AloneChecked = 'alone';
}
