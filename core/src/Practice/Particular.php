<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

/** What one student does otherwise in one entry of a sheet for all. */
final readonly class Particular
{
    /** @param  bool  $isMet  they have met it; who has not leaves it out until they have */
    public function __construct(public string $course, public SheetEntry $entry, public bool $isMet)
    {
    }

    public function isNothing(): bool
    {
        $care = $this->entry->care;

        return $this->isMet && ! $care->isLeftOut && $care->do === [] && $care->notIn === [] && ! $care->asks && $this->entry->weaker === null;
    }
}
