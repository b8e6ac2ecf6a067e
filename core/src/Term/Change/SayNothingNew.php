<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A meeting brings nothing new, or may again. */
final readonly class SayNothingNew implements TermChange
{
    public function __construct(public string $meeting, public bool $isSaid = true)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);

        return $draft->put($meeting->pinned(['nothingNew' => $this->isSaid, ...($this->isSaid ? ['lessons' => []] : [])]));
    }
}
