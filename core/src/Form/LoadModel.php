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

    /**
     * @param  Passage|null  $target  what a group is to learn; null for no group, which learns the form as a whole
     * @param  list<int>  $learned  positions the group was taught before; what returns to or mirrors a movement that was
     *                              neither taught nor stands in the target before it is new to the group
     * @return list<EntryLoad> one for each entry of the form, in order
     */
    public function of(Form $form, ?Passage $target = null, array $learned = []): array
    {
        $roots = self::roots($form);
        $known = []; // what movements the group knows before an entry, by the first position of each
        foreach ($learned as $position) {
            $known[$roots[$position]] = true;
        }
        $loads = [];
        $hasCounted = false;
        foreach ($form->entries as $at => $entry) {
            if (! $entry->kind->countsInForm()) {
                $loads[] = new EntryLoad($at + 1, 0.0, 1.0, 0.0, []);
                $known += self::inTarget($target, $at + 1) ? [$roots[$at + 1] => true] : [];

                continue;
            }
            $parts = $this->parts($entry);
            $demand = array_sum(array_map(static fn (LoadPart $part): float => $part->amount, $parts));
            $loads[] = new EntryLoad($at + 1, $demand, $this->newness($form, $at + 1, $roots, $known), $hasCounted ? $this->join : 0.0, $parts);
            $hasCounted = true;
            $known += self::inTarget($target, $at + 1) ? [$roots[$at + 1] => true] : [];
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

    /**
     * @param  array<int, int>  $roots
     * @param  array<int, true>  $known
     */
    private function newness(Form $form, int $position, array $roots, array $known): float
    {
        [$to, $share] = match (true) {
            self::returnsEarlier($form, $position) => [$form->positionOf((string) $form->at($position)->returns), $this->returning],
            self::mirrorsEarlier($form, $position) => [$form->positionOf((string) $form->at($position)->mirrors), $this->mirrored],
            default => [null, 1.0],
        };

        return $to !== null && isset($known[$roots[$to]]) ? $share : 1.0;
    }

    private static function inTarget(?Passage $target, int $position): bool
    {
        return $target === null || ($target->from <= $position && $position <= $target->to);
    }

    /** @return array<int, int> by position, where the same movement stands first in the form */
    private static function roots(Form $form): array
    {
        $roots = [];
        foreach ($form->entries as $at => $entry) {
            $position = $at + 1;
            $to = self::returnsEarlier($form, $position) ? $form->positionOf((string) $entry->returns) : null;
            $roots[$position] = $roots[$to ?? 0] ?? $position;
        }

        return $roots;
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
