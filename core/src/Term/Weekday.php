<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** A day of the week, as the term file writes it. */
enum Weekday: string
{
    case Monday = 'Mon';
    case Tuesday = 'Tue';
    case Wednesday = 'Wed';
    case Thursday = 'Thu';
    case Friday = 'Fri';
    case Saturday = 'Sat';
    case Sunday = 'Sun';
}
