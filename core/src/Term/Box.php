<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** The parts of a meeting, in the order they are held (engine 8). */
enum Box: string
{
    case Settle = 'settle';
    case WarmUp = 'warm_up';
    case Focus = 'focus';
    case Review = 'review';
    case New = 'new';
    case RunThrough = 'run_through';

    /** What nothing else had to do with: their questions. */
    case Free = 'free';
    case Close = 'close';
}
