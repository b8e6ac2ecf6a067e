<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A box has minutes of its own; null to leave them to the plan. */
final readonly class FixBox implements TermChange
{
    public function __construct(public string $meeting, public string $box, public ?int $minutes)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $boxes = array_diff_key($meeting->pins->boxes, [$this->box => true]);
        if ($this->minutes !== null) {
            $boxes[$this->box] = $this->minutes;
        }

        return $draft->put($meeting->pinned(['boxes' => $boxes])->fitting());
    }
}
