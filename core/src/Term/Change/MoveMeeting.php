<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A meeting takes place on another day, at another time, or both. */
final readonly class MoveMeeting implements TermChange
{
    public function __construct(public string $meeting, public string $to, public ?string $at = null, public ?string $reason = null)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $at = $this->at ?? $meeting->at;
        $draft->checkFree($this->to, $at, $meeting->minutes, $meeting->id);

        return $draft->put($meeting->with(['on' => $this->to, 'at' => $at, 'reason' => $this->reason ?? $meeting->reason]));
    }
}
