<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/**
 * How much there is to learn in each entry (engine 3). Every constant is our default and can be changed by a school.
 */
final readonly class LoadModel
{
    public function __construct(
        public float $movement = 1.0,
        public float $link = 0.5,
        public float $turn = 0.25,
        public float $bigTurn = 0.5,
        public float $step = 0.25,
        public float $mostSteps = 1.0,
        public float $oneLeg = 0.75,
        public float $bothSides = 0.5,
        public float $mirrored = 0.5,
        public float $returning = 0.15,
        public float $join = 0.2,
    ) {
    }

    /** @return list<EntryLoad> one for each entry of the form, in order */
    public function of(Form $form): array
    {
        $loads = [];
        $hasCounted = false;
        foreach ($form->entries as $at => $entry) {
            if (! $entry->kind->countsInForm()) {
                $loads[] = new EntryLoad($at + 1, 0.0, 1.0, 0.0, []);

                continue;
            }
            $parts = $this->parts($entry);
            $demand = array_sum(array_map(static fn (LoadPart $part): float => $part->amount, $parts));
            $loads[] = new EntryLoad($at + 1, $demand, $this->newness($form, $at + 1), $hasCounted ? $this->join : 0.0, $parts);
            $hasCounted = true;
        }

        return $loads;
    }

    /** Whether the entry returns to one before it; an identical earlier entry wins over a mirrored one. */
    public static function returnsEarlier(Form $form, int $position): bool
    {
        return self::isEarlier($form, $position, $form->at($position)->returns);
    }

    /** Whether the entry mirrors one before it, and does not return to one. */
    public static function mirrorsEarlier(Form $form, int $position): bool
    {
        return ! self::returnsEarlier($form, $position)
            && self::isEarlier($form, $position, $form->at($position)->mirrors);
    }

    private static function isEarlier(Form $form, int $position, ?string $id): bool
    {
        $to = $id === null ? null : $form->positionOf($id);

        return $to !== null && $to < $position;
    }

    private function newness(Form $form, int $position): float
    {
        return match (true) {
            self::returnsEarlier($form, $position) => $this->returning,
            self::mirrorsEarlier($form, $position) => $this->mirrored,
            default => 1.0,
        };
    }

    /** @return list<LoadPart> */
    private function parts(Entry $entry): array
    {
        if ($entry->demand !== null) {
            return [new LoadPart(LoadReason::Stated, $entry->demand)];
        }
        $parts = [new LoadPart(LoadReason::Base, $entry->kind === EntryKind::Movement ? $this->movement : $this->link)];
        $turn = abs($entry->turn ?? 0.0);
        if ($turn >= 135.0) {
            $parts[] = new LoadPart(LoadReason::BigTurn, $this->bigTurn);
        } elseif ($turn >= 45.0) {
            $parts[] = new LoadPart(LoadReason::Turn, $this->turn);
        }
        $steps = max(0.0, min($this->mostSteps, $this->step * (($entry->steps ?? 1) - 1)));
        if ($steps > 0.0) {
            $parts[] = new LoadPart(LoadReason::Steps, $steps);
        }
        if ($entry->oneLeg === true) {
            $parts[] = new LoadPart(LoadReason::OneLeg, $this->oneLeg);
        }
        if ($entry->isDoneOnBothSides()) {
            $parts[] = new LoadPart(LoadReason::BothSides, $this->bothSides);
        }

        return $parts;
    }
}
