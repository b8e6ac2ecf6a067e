<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A reserve is used for new work, or kept again. */
final readonly class SpendReserve implements TermChange
{
    public function __construct(public string $meeting, public bool $isSaid = true)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        return $draft->put($draft->meeting($this->meeting)->pinned(['spendsReserve' => $this->isSaid]));
    }
}
