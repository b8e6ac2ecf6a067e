<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

/** What a group has worked on so far. Immutable. */
final readonly class FocusHistory
{
    /**
     * @param  array<string, int>  $been  how many meetings each principle was a focus of
     * @param  bool  $lastWasNew  whether the meeting before introduced one
     * @param  string|null  $last  the first focus of the meeting before
     * @param  int  $inARow  meetings in a row, up to that one, it was the first focus of
     */
    public function __construct(public array $been = [], public bool $lastWasNew = false, public ?string $last = null, public int $inARow = 0)
    {
    }

    /** @param  list<string>  $principles  of one more meeting, the first one first; none: the meeting had no focus */
    public function after(array $principles): self
    {
        $been = $this->been;
        foreach ($principles as $id) {
            $been[$id] = ($been[$id] ?? 0) + 1;
        }
        $first = $principles[0] ?? null;

        return new self(
            $been,
            array_filter($principles, $this->isNew(...)) !== [],
            $first ?? $this->last,
            $first === null ? $this->inARow : ($first === $this->last ? $this->inARow + 1 : 1),
        );
    }

    public function isNew(string $principle): bool
    {
        return ! isset($this->been[$principle]);
    }
}
