<?php

declare(strict_types=1);

namespace App\Models;

use DateTimeInterface;
use IntlDateFormatter;

/** How a school may write days, times and numbers: the ways of writing of the languages there is a catalogue of (BCP 47). */
enum SchoolLocale: string
{
    case Britain = 'en-GB';
    case Ireland = 'en-IE';
    case UnitedStates = 'en-US';
    case Canada = 'en-CA';
    case Australia = 'en-AU';
    case NewZealand = 'en-NZ';
    case India = 'en-IN';
    case SouthAfrica = 'en-ZA';
    case Singapore = 'en-SG';

    /** A day written out: "3 December 2026". */
    public function day(DateTimeInterface $at): string
    {
        $format = new IntlDateFormatter($this->value, IntlDateFormatter::LONG, IntlDateFormatter::NONE, $at->getTimezone());

        return (string) $format->format($at);
    }
}
