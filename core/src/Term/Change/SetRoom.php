<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A meeting is held in another room. */
final readonly class SetRoom implements TermChange
{
    public function __construct(public string $meeting, public ?string $room)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        return $draft->put($draft->meeting($this->meeting)->with(['room' => $this->room]));
    }
}
