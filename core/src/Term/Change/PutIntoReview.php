<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** A passage is reviewed at a meeting, whatever it is worth. */
final readonly class PutIntoReview implements TermChange
{
    /** @param  list<string>  $entries */
    public function __construct(public string $meeting, public string $course, public array $entries)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $others = array_values(array_filter($meeting->pins->with[$this->course] ?? [], fn (array $passage): bool => array_intersect($passage, $this->entries) === []));
        $out = array_values(array_diff($meeting->pins->without[$this->course] ?? [], $this->entries));

        return $draft->put($meeting->pinned([
            'with' => [...$meeting->pins->with, $this->course => [...$others, $this->entries]],
            'without' => array_filter([...$meeting->pins->without, $this->course => $out]),
        ]));
    }
}
