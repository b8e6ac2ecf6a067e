<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** The passages chosen for review, in the order of the form, with what they are worth and the minutes they take together. */
final readonly class ReviewChoice
{
    /** @param  list<ChosenPassage>  $passages */
    public function __construct(public array $passages)
    {
    }

    public function value(): float
    {
        return array_sum(array_map(static fn (ChosenPassage $passage): float => $passage->value, $this->passages));
    }

    /** What it is worth beside the price of its minutes. */
    public function worth(): float
    {
        return array_sum(array_map(static fn (ChosenPassage $passage): float => $passage->worth, $this->passages));
    }

    /** Minutes, setting up among them. */
    public function minutes(): float
    {
        return array_sum(array_map(static fn (ChosenPassage $passage): float => $passage->minutes, $this->passages));
    }
}
