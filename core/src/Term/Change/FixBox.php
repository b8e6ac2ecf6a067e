<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Term\BoxesTooLong;

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
        if (array_sum($boxes) > $meeting->minutes) {
            throw BoxesTooLong::fixed($meeting->minutes, array_sum($boxes));
        }

        return $draft->put($meeting->pinned(['boxes' => $boxes]));
    }
}
