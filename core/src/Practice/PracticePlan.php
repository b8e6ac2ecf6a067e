<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

/** What one student practises until the next meeting, in the order of the form, and on which days. */
final readonly class PracticePlan
{
    /**
     * @param  list<int>  $days  ({@see \Gorvan\Core\Reading\Day})
     * @param  list<PracticePassage>  $passages
     */
    public function __construct(public array $days, public array $passages)
    {
    }

    public function value(): float
    {
        return array_sum(array_map(static fn (PracticePassage $one): float => $one->value, $this->passages));
    }

    /** A day. */
    public function minutes(): float
    {
        return array_sum(array_map(static fn (PracticePassage $one): float => $one->minutes, $this->passages));
    }
}
