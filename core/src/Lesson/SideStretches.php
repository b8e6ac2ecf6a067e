<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Side;

/**
 * Where a stretch of a form is repeated on the other side (engine 9, "Sides, then joined"): at least two movements, each of
 * which mirrors its counterpart, in order, where a movement without a side may stand for itself.
 */
final class SideStretches
{
    private const LEAST = 2;

    /** @return list<array{Passage, Passage}> one side and the other, in the order of the form */
    public static function of(Form $form, ?Passage $within = null): array
    {
        $movements = []; // positions
        foreach ($form->entries as $at => $entry) {
            if ($entry->kind === EntryKind::Movement && ($within === null || ($within->from <= $at + 1 && $at + 1 <= $within->to))) {
                $movements[] = $at + 1;
            }
        }
        $order = array_flip($movements);
        $found = [];
        for ($at = 0; $at < count($movements); $at++) {
            $first = self::counterpart($form, $movements[$at], $order);
            if ($first === null) {
                continue;
            }
            $length = 1;
            $mirrored = (int) LoadModel::mirrorsEarlier($form, $movements[$at]);
            // One side is over before the other begins.
            while ($first + $length < $at && self::counterpart($form, $movements[$at + $length] ?? 0, $order) === $first + $length) {
                $mirrored += (int) LoadModel::mirrorsEarlier($form, $movements[$at + $length]);
                $length++;
            }
            // What only returns is the same stretch once more, and no other side.
            if ($length >= self::LEAST && $mirrored > 0) {
                $found[] = [new Passage($movements[$first], $movements[$first + $length - 1]), new Passage($movements[$at], $movements[$at + $length - 1])];
                $at += $length - 1;
            }
        }

        return $found;
    }

    /**
     * A cut before, between and after the two sides of each stretch.
     *
     * @return array<int, CutPin> by the position before the join
     */
    public static function cuts(Form $form, Passage $within): array
    {
        $cuts = [];
        foreach (self::of($form, $within) as [$one, $other]) {
            foreach ([$one->from - 1, $one->to, $other->from - 1, $other->to] as $after) {
                $cuts[$after] = CutPin::Always;
            }
            // Links between the two belong to the second side, and part nothing by themselves.
            $between = array_filter($other->from - 1 > $one->to ? range($one->to + 1, $other->from - 1) : [], static fn (int $at): bool => $form->at($at)->kind === EntryKind::Movement);
            if ($between === [] && $other->from - 1 > $one->to) {
                unset($cuts[$other->from - 1]);
            }
        }

        return array_filter($cuts, static fn (int $after): bool => $within->from <= $after && $after < $within->to, ARRAY_FILTER_USE_KEY);
    }

    /** @param  array<int, int>  $order  place among the movements, by position */
    private static function counterpart(Form $form, int $position, array $order): ?int
    {
        if ($position === 0) {
            return null;
        }
        $entry = $form->at($position);
        $of = match (true) {
            LoadModel::mirrorsEarlier($form, $position) => $entry->mirrors,
            $entry->side !== Side::Left && $entry->side !== Side::Right && LoadModel::returnsEarlier($form, $position) => $entry->returns,
            default => null,
        };

        return $of === null ? null : $order[$form->positionOf($of)] ?? null;
    }
}
