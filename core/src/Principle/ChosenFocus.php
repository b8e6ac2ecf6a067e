<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

/** A principle that a meeting works on, and what spoke for it. */
final readonly class ChosenFocus
{
    /**
     * @param  float  $mean  what the group would recall of it on average by the next meeting, without working on it, 0..1
     * @param  float  $bite  how much tonight's entries show it, 0.5..1
     * @param  list<string>  $shows  those of tonight's entries that show it most
     */
    public function __construct(public string $principle, public bool $isNew, public float $mean, public float $bite, public array $shows)
    {
    }

    public function worth(): float
    {
        return (1.0 - $this->mean) * $this->bite;
    }
}
