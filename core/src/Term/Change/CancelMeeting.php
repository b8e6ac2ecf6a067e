<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Term\MeetingState;

/** A meeting does not take place. */
final readonly class CancelMeeting implements TermChange
{
    public function __construct(public string $meeting, public ?string $reason = null)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $draft = $draft->put($meeting->with(['state' => MeetingState::Cancelled, 'reason' => $this->reason ?? $meeting->reason]));

        return $draft->taking() === [] ? throw ChangeRefused::lastMeeting() : $draft;
    }
}
