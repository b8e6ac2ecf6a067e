<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\TermPlan;

/** A plan of a term as it was worked out, and what it moves. */
final readonly class PlannedTerm
{
    /**
     * @param  array<string, MeetingPlan>  $plans  by meeting
     * @param  list<Message>  $difference
     */
    public function __construct(public TermPlan $plan, public array $plans, public array $difference)
    {
    }
}
