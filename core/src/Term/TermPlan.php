<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Message;

/** A term laid out: a plan for each open meeting, by its place in the term from 0, and warnings with numbers. */
final readonly class TermPlan
{
    /**
     * @param  array<int, MeetingPlan>  $meetings
     * @param  list<Message>  $warnings
     */
    public function __construct(public array $meetings, public array $warnings)
    {
    }
}
