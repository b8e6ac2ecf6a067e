<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Memory\Draw;
use Gorvan\Core\Record\RunOrder;

/** Known material in another order (engine 9), so that nobody leans on what comes next. Pure: the same draw gives the same order. */
final class RunThroughOrder
{
    /**
     * @param  list<int>  $positions  in the order of the form
     * @param  string  $draw  what it is drawn for
     * @return list<int>
     */
    public static function of(Form $form, array $positions, RunOrder $order, string $draw): array
    {
        return match ($order) {
            RunOrder::AsWritten => $positions,
            RunOrder::FromSection => self::fromSection(self::sections($form, $positions), $draw),
            RunOrder::Shuffled => array_merge([], ...self::shuffled(self::sections($form, $positions), $draw)),
            RunOrder::Backwards => array_merge([], ...array_reverse(self::movements($form, $positions))),
        };
    }

    /**
     * The order that says most about some entries: their sections shuffled, or, where they are of one, backwards by movement.
     *
     * @param  list<int>  $positions
     */
    public static function another(Form $form, array $positions): RunOrder
    {
        return count(self::sections($form, $positions)) > 1 ? RunOrder::Shuffled : RunOrder::Backwards;
    }

    /**
     * @param  list<list<int>>  $sections
     * @return list<int>
     */
    private static function fromSection(array $sections, string $draw): array
    {
        $at = count($sections) < 2 ? 0 : 1 + (int) floor(Draw::of($draw) * (count($sections) - 1));

        return array_merge([], ...array_slice($sections, $at), ...array_slice($sections, 0, $at));
    }

    /**
     * @param  list<list<int>>  $sections
     * @return list<list<int>> never as they are written, where there are two or more
     */
    private static function shuffled(array $sections, string $draw): array
    {
        $left = $sections;
        $shuffled = [];
        while ($left !== []) {
            $at = (int) floor(Draw::of("$draw|".count($left)) * count($left));
            $shuffled[] = $left[$at];
            array_splice($left, $at, 1);
        }

        return $shuffled === $sections && count($sections) > 1 ? [...array_slice($sections, 1), $sections[0]] : $shuffled;
    }

    /**
     * @param  list<int>  $positions
     * @return list<list<int>>
     */
    private static function sections(Form $form, array $positions): array
    {
        return self::parted($positions, static fn (int $position): ?int => $form->sectionOf($position)?->first);
    }

    /**
     * Each movement with the unnumbered entries that follow it.
     *
     * @param  list<int>  $positions
     * @return list<list<int>>
     */
    private static function movements(Form $form, array $positions): array
    {
        $movement = null;

        return self::parted($positions, static function (int $position) use ($form, &$movement): ?int {
            return $movement = $form->at($position)->kind === EntryKind::Movement ? $position : $movement;
        });
    }

    /**
     * @param  list<int>  $positions
     * @param  callable(int): ?int  $of
     * @return list<list<int>>
     */
    private static function parted(array $positions, callable $of): array
    {
        $parts = [];
        $last = null;
        foreach ($positions as $at => $position) {
            $own = $of($position);
            if ($at === 0 || $own !== $last) {
                $parts[] = [];
            }
            $parts[count($parts) - 1][] = $position;
            $last = $own;
        }

        return array_values($parts);
    }
}
