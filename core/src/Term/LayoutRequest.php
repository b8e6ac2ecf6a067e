<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** Everything a layout of a term is decided by. */
final readonly class LayoutRequest
{
    /**
     * @param  list<TermMeeting>  $meetings  the whole term in order; those not open stay as they were
     * @param  non-empty-list<LayoutCourse>  $courses
     */
    public function __construct(public array $meetings, public array $courses)
    {
    }
}
