<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

/** What a meeting works on, in the teacher's own words; null to leave it open. */
final readonly class SayFocus implements TermChange
{
    public function __construct(public string $meeting, public ?string $words)
    {
    }

    public function on(TermDraft $draft): TermDraft
    {
        return $draft->put($draft->meeting($this->meeting)->pinned(['focus' => $this->words]));
    }
}
