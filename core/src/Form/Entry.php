<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\Strain;

/**
 * One row of a form, as `gorvan.form/1` states it; null means that nothing is known.
 *
 * `weightEnd` is per cent on the left foot at the end, `turn` the net turn in degrees, clockwise positive, `travel`
 * steps forward and sideways to the right in the frame at the entry's start, `steps` foot placements. `cues` hold the
 * tokens `{L}` and `{R}` for the student's own left and right.
 */
final readonly class Entry
{
    /**
     * @param  list<TitleAlias>  $aliases
     * @param  array{float, float}|null  $travel
     * @param  Side|null  $startSide  left or right: the side it begins on, where both are done
     * @param  bool|null  $isRepetitionInferred  true when the repetition was supposed and not stated
     * @param  list<Difference>  $differs
     * @param  bool|null  $isOneSided  true when it is done on one side by tradition
     * @param  list<Phase>  $phases
     * @param  list<PostureState>  $states
     * @param  list<Variant>  $variants
     * @param  list<Caution>  $cautions  for every way of doing it
     * @param  list<Strain>  $strains
     * @param  list<Joint>  $joints  that it loads beside those of its strains
     * @param  list<string>  $checks  what an observer can see
     * @param  list<CommonError>  $errors
     * @param  list<string>  $drills  lead-up drills
     * @param  list<string>  $cues
     * @param  list<SameIn>  $sameIn
     * @param  list<SchemeNumber>  $numbers
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
        public ?Side $startSide = null,
        public ?bool $isRepetitionInferred = null,
        public array $differs = [],
        public ?bool $isOneSided = null,
        public array $phases = [],
        public array $states = [],
        public array $variants = [],
        public array $cautions = [],
        public array $strains = [],
        public array $joints = [],
        public array $checks = [],
        public array $errors = [],
        public array $drills = [],
        public array $cues = [],
        public array $sameIn = [],
        public array $numbers = [],
        public array $others = [],
    ) {
    }

    /**
     * The same entry with some properties changed. Pure.
     *
     * @param  array<string, mixed>  $changes  by the names of the properties
     */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]); // @phpstan-ignore argument.type
    }

    /** Whether the form's count includes it: a movement, or an opening or closing that has a published number. */
    public function isCounted(): bool
    {
        return $this->kind === EntryKind::Movement
            || ($this->number !== null && in_array($this->kind, [EntryKind::Opening, EntryKind::Closing], true));
    }

    /** Left and right, one after the other, inside the entry. Pure. */
    public function isDoneOnBothSides(): bool
    {
        return $this->side === Side::Both
            || $this->repetition?->kind === RepetitionKind::Alternating
            || $this->repetition?->isPerSide === true;
    }

    /**
     * How often it is done on the left and on the right; a hold counts once.
     *
     * @return array{float, float}
     */
    public function timesBySide(): array
    {
        $repetition = $this->repetition;
        if ($repetition?->kind === RepetitionKind::Alternating) {
            $left = count(array_filter($repetition->sides, static fn (Side $side): bool => $side === Side::Left));

            return [(float) $left, (float) (count($repetition->sides) - $left)];
        }
        $counts = in_array($repetition?->kind, [RepetitionKind::Fixed, RepetitionKind::Nested], true);
        $all = $counts ? (float) ($repetition->inAll() ?? 1) : 1.0;

        return match (true) {
            $repetition?->isPerSide === true => [$all / 2, $all / 2],
            $this->side === Side::Both => $counts ? [$all / 2, $all / 2] : [1.0, 1.0],
            $this->side === Side::Left => [$all, 0.0],
            $this->side === Side::Right => [0.0, $all],
            default => [0.0, 0.0],
        };
    }

    /**
     * What is said while it is done: its own cues, then those of its phases.
     *
     * @return list<string>
     */
    public function allCues(): array
    {
        return [...$this->cues, ...array_values(array_filter(array_map(static fn (Phase $phase): ?string => $phase->cue, $this->phases), static fn (?string $cue): bool => $cue !== null))];
    }

    /** Where the weight is when it ends: as stated, or as its last phase leaves it. */
    public function weightAtEnd(): ?WeightRange
    {
        return $this->weightEnd ?? ($this->phases === [] ? null : $this->phases[count($this->phases) - 1]->weight);
    }
}
