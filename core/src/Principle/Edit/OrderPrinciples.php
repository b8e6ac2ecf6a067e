<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Principle\SetDifference;

/** The order in which they are taught; one that is not named keeps its place after those that are. */
final readonly class OrderPrinciples implements SetEdit
{
    /** @param  list<string>  $ids */
    public function __construct(private array $ids)
    {
    }

    public function on(PrincipleSet $set): PrincipleSet
    {
        $place = array_flip($this->ids);
        $principles = $set->principles;
        usort($principles, static fn (Principle $a, Principle $b): int => ($place[$a->id] ?? PHP_INT_MAX) <=> ($place[$b->id] ?? PHP_INT_MAX));

        return $set->withPrinciples($principles);
    }

    public function touches(): array
    {
        return [SetDifference::HEAD];
    }
}
