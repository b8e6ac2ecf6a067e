<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A passage is not reviewed at a meeting; or may be again. */
final readonly class LeaveOutOfReview implements TermChange
{
    /** @param  list<string>  $entries */
    public function __construct(public string $meeting, public string $course, public array $entries, public bool $isSaid = true)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $left = array_values(array_diff($meeting->pins->without[$this->course] ?? [], $this->entries));
        $out = $this->isSaid ? [...$left, ...$this->entries] : $left;
        $in = array_values(array_filter($meeting->pins->with[$this->course] ?? [], fn (array $passage): bool => array_intersect($passage, $this->entries) === []));

        return $draft->put($meeting->pinned([
            'without' => array_filter([...$meeting->pins->without, $this->course => $out]),
            'with' => array_filter([...$meeting->pins->with, $this->course => $in]),
            'picked' => array_filter([...$meeting->pins->picked, $this->course => array_values(array_diff($meeting->pins->picked[$this->course] ?? [], $this->entries))]),
        ]));
    }
}
