<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Track;

use Gorvan\Core\Form\Form;

/** The path of a form: its turns and travels added up (engine 13). What an entry does not say adds nothing. */
final readonly class FloorTrack
{
    /**
     * @param  non-empty-list<Footing>  $footings  the start, and where each entry ends
     * @param  list<int>  $unknown  positions of entries that do not say both turn and travel
     */
    private function __construct(public array $footings, public array $unknown)
    {
    }

    public static function of(Form $form): self
    {
        $at = new Footing(0.0, 0.0, 0.0);
        $footings = [$at];
        $unknown = [];
        foreach ($form->entries as $place => $entry) {
            [$forward, $right] = $entry->travel ?? [0.0, 0.0];
            $footings[] = $at = $at->after($forward, $right, $entry->turn ?? 0.0);
            if ($entry->kind->countsInForm() && ($entry->travel === null || $entry->turn === null)) {
                $unknown[] = $place + 1;
            }
        }

        return new self($footings, $unknown);
    }

    public function end(): Footing
    {
        return $this->footings[count($this->footings) - 1];
    }

    public function isComplete(): bool
    {
        return $this->unknown === [];
    }

    public function mirrored(): self
    {
        return new self(array_map(static fn (Footing $footing): Footing => $footing->mirrored(), $this->footings), $this->unknown);
    }

    /** @param  int|null  $until  position of the last entry that counts, null for all */
    public function bounds(?int $until = null): Bounds
    {
        return Bounds::round($until === null ? $this->footings : array_slice($this->footings, 0, $until + 1));
    }
}
