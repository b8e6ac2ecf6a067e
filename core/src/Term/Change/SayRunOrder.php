<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Record\RunOrder;

/** In which order what is known of a course is run through at a meeting; null to leave it to the plan. */
final readonly class SayRunOrder implements TermChange
{
    public function __construct(public string $meeting, public string $course, public ?RunOrder $order)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $others = array_diff_key($meeting->pins->orders, [$this->course => true]);

        return $draft->put($meeting->pinned(['orders' => $this->order === null ? $others : [...$others, $this->course => $this->order]]));
    }
}
