<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Principle\PrincipleSet;

/** A principle as it is to be: in its place where it was there, at the end where it is new. */
final readonly class PutPrinciple implements SetEdit
{
    public function __construct(private Principle $principle)
    {
    }

    public function on(PrincipleSet $set): PrincipleSet
    {
        $is = fn (Principle $one): Principle => $one->id === $this->principle->id ? $this->principle : $one;

        return $set->withPrinciples($set->principle($this->principle->id) === null ? [...$set->principles, $this->principle] : array_map($is, $set->principles));
    }

    public function touches(): array
    {
        return [$this->principle->id];
    }
}
