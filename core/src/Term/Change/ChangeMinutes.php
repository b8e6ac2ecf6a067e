<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A meeting is shorter or longer than usual. */
final readonly class ChangeMinutes implements TermChange
{
    public function __construct(public string $meeting, public int $minutes, public ?string $reason = null)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        if ($meeting->state->takesPlace()) {
            $draft->checkFree($meeting->on, $meeting->at, $this->minutes, $meeting->id);
        }

        return $draft->put($meeting->with(['minutes' => $this->minutes, 'reason' => $this->reason ?? $meeting->reason])->fitting());
    }
}
