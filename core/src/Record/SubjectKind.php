<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** What a fact can be about (engine 5). */
enum SubjectKind: string
{
    case Entry = 'entry';
    case Principle = 'principle';

    /** A step of a partner drill: kept, with no memory behind it. */
    case DrillStep = 'drill_step';

    public function isRemembered(): bool
    {
        return $this !== self::DrillStep;
    }
}
