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
     * @param  int  $faced  position of the first entry that does not say its turn: from its end on nobody knows what is faced
     * @param  int  $opened  how many entries stand before the form: extras of the session
     * @param  int  $closed  position of its last entry; what an extra does after it is no part of the form
     */
    private function __construct(public array $footings, public array $unknown, private int $faced, private int $opened, private int $closed)
    {
    }

    public static function of(Form $form): self
    {
        $at = new Footing(0.0, 0.0, 0.0);
        $footings = [$at];
        $unknown = $counted = [];
        $faced = null;
        foreach ($form->entries as $place => $entry) {
            [$forward, $right] = $entry->travel ?? [0.0, 0.0];
            $footings[] = $at = $at->after($forward, $right, $entry->turn ?? 0.0);
            if ($entry->kind->countsInForm()) {
                $counted[] = $place + 1;
                $faced ??= $entry->turn === null ? $place + 1 : null;
            }
            if ($entry->kind->countsInForm() && ($entry->travel === null || $entry->turn === null)) {
                $unknown[] = $place + 1;
            }
        }

        return new self($footings, $unknown, $faced ?? $form->count(), ($counted[0] ?? 1) - 1, $counted === [] ? 0 : $counted[count($counted) - 1]);
    }

    /** Where the closing ends, seen from where the opening stood and faced. */
    public function closing(): Footing
    {
        return $this->footings[$this->closed]->seenFrom($this->footings[$this->opened]);
    }

    /** What is faced when an entry begins: degrees clockwise from how the opening faces, or null where nobody knows. */
    public function facingBefore(int $position): ?float
    {
        return $position > $this->faced ? null : $this->footings[$position - 1]->facing - $this->footings[$this->opened]->facing;
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
        return new self(array_map(static fn (Footing $footing): Footing => $footing->mirrored(), $this->footings), $this->unknown, $this->faced, $this->opened, $this->closed);
    }

    /** @param  int|null  $until  position of the last entry that counts, null for all */
    public function bounds(?int $until = null): Bounds
    {
        return Bounds::round($until === null ? $this->footings : array_slice($this->footings, 0, $until + 1));
    }
}
