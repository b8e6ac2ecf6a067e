<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** Movements that need not lie together are reviewed at a meeting one by one, each closed by its rest; none takes back what was picked. */
final readonly class PickForReview implements TermChange
{
    /** @param  list<string>  $entries  all that are picked, instead of those picked before */
    public function __construct(public string $meeting, public string $course, public array $entries)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $entries = array_values(array_unique($this->entries));

        return $draft->put($meeting->pinned([
            'picked' => array_filter([...$meeting->pins->picked, $this->course => $entries]),
            'without' => array_filter([...$meeting->pins->without, $this->course => array_values(array_diff($meeting->pins->without[$this->course] ?? [], $entries))]),
        ]));
    }
}
