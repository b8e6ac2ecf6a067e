<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Term\Closure;
use Gorvan\Core\Term\MeetingState;

/** Some days are closed: whatever meets on them does not take place. */
final readonly class CloseDays implements TermChange
{
    public function __construct(public string $from, public string $to, public ?string $reason = null)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        if ($this->to < $this->from) {
            throw ChangeRefused::backwards($this->from, $this->to);
        }
        if ($this->to < $draft->from || $this->from > $draft->to) {
            throw ChangeRefused::outside($this->from, $draft->from, $draft->to);
        }
        $closure = new Closure($this->from, $this->to);
        foreach ($draft->taking() as $meeting) {
            if ($closure->covers($meeting->on) && $meeting->isOpen) {
                $draft = $draft->put($meeting->with(['state' => MeetingState::Cancelled, 'reason' => $this->reason]));
            }
        }

        return $draft->taking() === [] ? throw ChangeRefused::lastMeeting() : $draft->closed($closure);
    }
}
