<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Term\MeetingState;

/** A meeting beside the weekly pattern: an extra one, or one that makes up for another. */
final readonly class AddMeeting implements TermChange
{
    public function __construct(public string $id, public string $on, public string $at, public int $minutes, public ?string $reason = null, public ?string $room = null)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $draft->checkFree($this->on, $this->at, $this->minutes);

        return $draft->put(new DraftMeeting($this->id, $this->on, $this->at, $this->minutes, true, MeetingState::Added, $this->reason, $this->room));
    }
}
