<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** A meeting as the planner sees it: its day `Y-m-d`, its minutes, and whether it is still to be planned. */
final readonly class TermMeeting
{
    /** @param  bool  $isOpen  to be planned now; what is not open stays as it was */
    public function __construct(public string $on, public int $minutes, public bool $isOpen)
    {
    }
}
