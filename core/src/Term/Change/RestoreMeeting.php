<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Term\MeetingState;

/** A meeting that was cancelled takes place after all. */
final readonly class RestoreMeeting implements TermChange
{
    public function __construct(public string $meeting)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $draft->checkFree($meeting->on, $meeting->at, $meeting->minutes, $meeting->id);

        return $draft->put($meeting->with(['state' => MeetingState::Laid, 'reason' => null]));
    }
}
