<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** All of a course is gone through at a meeting, roughly, followed along where it is not taught; or not. */
final readonly class SayRough implements TermChange
{
    public function __construct(public string $meeting, public string $course, public bool $isSaid = true)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        $meeting = $draft->meeting($this->meeting);
        $others = array_values(array_diff($meeting->pins->rough, [$this->course]));

        return $draft->put($meeting->pinned(['rough' => $this->isSaid ? [...$others, $this->course] : $others]));
    }
}
