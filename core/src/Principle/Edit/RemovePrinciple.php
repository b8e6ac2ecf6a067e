<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle\Edit;

use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Reading\Gone;

/** Takes a principle out, and out of what comes before the others. */
final readonly class RemovePrinciple implements SetEdit
{
    public function __construct(private string $id)
    {
    }

    public function on(PrincipleSet $set): PrincipleSet
    {
        if ($set->principle($this->id) === null) {
            throw Gone::principle('id', $this->id);
        }
        $rest = array_filter($set->principles, fn (Principle $one): bool => $one->id !== $this->id);

        return $set->withPrinciples(array_values(array_map(fn (Principle $one): Principle => $one->with(['after' => array_values(array_diff($one->after, [$this->id]))]), $rest)));
    }

    public function touches(): array
    {
        return [$this->id];
    }
}
