<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Form\Side;

/** An entry on a sheet: what this student does in it otherwise, and the side that needs it more. */
final readonly class SheetEntry
{
    /** @param  Side|null  $weaker  left or right, where both sides are known apart and one is remembered less */
    public function __construct(public int $position, public HomeCare $care, public ?Side $weaker)
    {
    }
}
