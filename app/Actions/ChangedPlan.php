<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Change\PlanView;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\TermPlan;

/** A term as some changes would leave it: its plan, and what they would move. */
final readonly class ChangedPlan
{
    /**
     * @param  array<string, MeetingPlan>  $plans  by meeting
     * @param  list<Message>  $difference
     */
    public function __construct(public TermDraft $draft, public TermPlan $plan, public array $plans, public PlanView $was, public array $difference)
    {
    }

    /** Movements that are expected less at the end; less than nothing where it is more. */
    public function cost(): float
    {
        return $this->was->expected() - $this->plan->expected();
    }
}
