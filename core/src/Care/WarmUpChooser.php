<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/**
 * Chooses what a class warms up with (engine 12): one general item first, two where the room is cold; then those that cover
 * the joints loaded tonight with most weight, a joint counted once, exactly; then the lightest general ones in what time is
 * left. Equal weight goes to fewer minutes, then to what stands earlier in the list. Minutes are rounded up to quarters.
 */
final class WarmUpChooser
{
    /**
     * @param  float  $minutes  of the box
     * @param  array<string, int>  $loaded  weight above 0 by the name of the {@see Joint}
     * @return list<string> ids, in the order in which they are done
     */
    public static function choose(WarmUpList $list, float $minutes, array $loaded, bool $isCold = false): array
    {
        $left = (int) floor(round($minutes * 4, 9));
        $general = array_values(array_filter($list->items, static fn (WarmUp $one): bool => $one->kind === WarmUpKind::General));
        $chosen = [];
        foreach ($general as $one) {
            if (count($chosen) < ($isCold ? 2 : 1) && $one->quarters() <= $left) {
                $chosen[] = $one;
                $left -= $one->quarters();
            }
        }
        $covered = array_merge([], ...array_map(static fn (WarmUp $one): array => $one->joints, $chosen));
        $bits = [];
        foreach (Joint::cases() as $joint) {
            if (($loaded[$joint->value] ?? 0) > 0 && ! in_array($joint, $covered, true)) {
                $bits[$joint->value] = 1 << count($bits);
            }
        }
        foreach (self::covering(self::useful($list, $chosen, $bits), $left, $bits, $loaded) as $one) {
            $chosen[] = $one;
            $left -= $one->quarters();
        }
        // Sorting keeps the order of the list where two are as light.
        usort($general, static fn (WarmUp $a, WarmUp $b): int => $a->quarters() <=> $b->quarters());
        foreach ($general as $one) {
            if (! in_array($one, $chosen, true) && $one->quarters() <= $left) {
                $chosen[] = $one;
                $left -= $one->quarters();
            }
        }

        return array_map(static fn (WarmUp $one): string => $one->id, $chosen);
    }

    /**
     * Those that reach a joint which counts, each with its joints as bits.
     *
     * @param  list<WarmUp>  $chosen
     * @param  array<string, int>  $bits
     * @return list<array{WarmUp, int}>
     */
    private static function useful(WarmUpList $list, array $chosen, array $bits): array
    {
        $useful = [];
        foreach ($list->items as $one) {
            $mask = 0;
            foreach ($one->joints as $joint) {
                $mask |= $bits[$joint->value] ?? 0;
            }
            if ($mask > 0 && in_array($one->kind, [WarmUpKind::General, WarmUpKind::Joint], true) && ! in_array($one, $chosen, true)) {
                $useful[] = [$one, $mask];
            }
        }

        return $useful;
    }

    /**
     * The subset that fits and covers most weight: a walk over the list that keeps, for each set of joints reached, how few
     * quarters reach it, and the earliest items that do.
     *
     * @param  list<array{WarmUp, int}>  $useful
     * @param  array<string, int>  $bits
     * @param  array<string, int>  $loaded
     * @return list<WarmUp>
     */
    private static function covering(array $useful, int $left, array $bits, array $loaded): array
    {
        /** @var array<int, array{int, list<int>}> $reached  quarters and items, by the joints reached */
        $reached = [0 => [0, []]];
        foreach ($useful as $at => [$one, $mask]) {
            foreach ($reached as $joints => [$quarters, $items]) {
                $with = [$quarters + $one->quarters(), [...$items, $at]];
                $known = $reached[$joints | $mask] ?? null;
                if ($with[0] <= $left && ($known === null || self::isBetter($with, $known))) {
                    $reached[$joints | $mask] = $with;
                }
            }
        }
        $best = null;
        foreach ($reached as $joints => $way) {
            $weight = 0;
            foreach ($bits as $joint => $bit) {
                $weight += ($joints & $bit) !== 0 ? $loaded[$joint] : 0;
            }
            if ($best === null || $weight > $best[0] || ($weight === $best[0] && self::isBetter($way, $best[1]))) {
                $best = [$weight, $way];
            }
        }

        return array_map(static fn (int $at): WarmUp => $useful[$at][0], $best[1][1] ?? []);
    }

    /**
     * @param  array{int, list<int>}  $a  quarters, and places in the list
     * @param  array{int, list<int>}  $b
     */
    private static function isBetter(array $a, array $b): bool
    {
        if ($a[0] !== $b[0]) {
            return $a[0] < $b[0];
        }
        foreach ($a[1] as $at => $item) {
            if ($item !== ($b[1][$at] ?? null)) {
                return $item < ($b[1][$at] ?? PHP_INT_MAX);
            }
        }

        return false;
    }
}
