<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/**
 * One row of a form, as `gorvan.form/1` states it; null means that nothing is known.
 *
 * `weightEnd` is per cent on the left foot at the end, `turn` the net turn in degrees, clockwise positive, `travel`
 * steps forward and sideways to the right in the frame at the entry's start, `steps` foot placements.
 */
final readonly class Entry
{
    /**
     * @param  list<TitleAlias>  $aliases
     * @param  array{float, float}|null  $travel
     * @param  array<string, mixed>  $others  keys this version does not know, kept for writing out again
     */
    public function __construct(
        public string $id,
        public EntryKind $kind,
        public string $title,
        public ?int $number = null,
        public ?Booklet $booklet = null,
        public array $aliases = [],
        public ?Side $side = null,
        public ?Repetition $repetition = null,
        public ?float $breaths = null,
        public ?FirstStep $firstStep = null,
        public ?int $steps = null,
        public ?Footfall $footfall = null,
        public ?WeightRange $weightEnd = null,
        public ?float $turn = null,
        public ?array $travel = null,
        public ?string $stance = null,
        public ?bool $oneLeg = null,
        public ?string $returns = null,
        public ?string $mirrors = null,
        public ?float $demand = null,
        public ?float $rest = null,
        public ?CutPin $cut = null,
        public array $others = [],
    ) {
    }

    /** Left and right, one after the other, inside the entry. Pure. */
    public function isDoneOnBothSides(): bool
    {
        return $this->side === Side::Both || $this->repetition?->kind === RepetitionKind::Alternating;
    }
}
