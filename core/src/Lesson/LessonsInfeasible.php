<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Reading\Message;

/** Pins, bars and caps leave no cut into so many lessons, but into others. */
final class LessonsInfeasible extends CutImpossible
{
    /** @param  non-empty-list<int>  $feasible  numbers of lessons that would work, in order */
    public static function of(int $lessons, array $feasible): self
    {
        return new self(Message::of('cut.infeasible', count: $lessons, feasible: $feasible));
    }
}
