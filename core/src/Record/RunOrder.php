<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** In which order a run-through goes (formats: `gorvan.plan/2`). */
enum RunOrder: string
{
    case AsWritten = 'as_written';

    /** From the start of a section, on to the end and round to the beginning. */
    case FromSection = 'from_section';

    /** The sections in another order, each as it is written. */
    case Shuffled = 'shuffled';

    /** Movement by movement, from the last to the first. */
    case Backwards = 'backwards';
}
