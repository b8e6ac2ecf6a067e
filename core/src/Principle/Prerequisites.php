<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

/** What comes before what. Pure. */
final class Prerequisites
{
    /**
     * A circle in which each comes after the next, and the last after the first.
     *
     * @param  list<Principle>  $principles  all that `after` names are among them
     * @return list<string> ids, from the earliest in order; empty where there is no circle
     */
    public static function circle(array $principles): array
    {
        $rest = self::taken($principles)[1];
        if ($rest === []) {
            return [];
        }
        // What is left comes after something that is left: following it comes round.
        $path = [];
        $at = (string) array_key_first($rest);
        while (! isset($path[$at])) {
            $path[$at] = count($path);
            $at = self::firstLeft($rest[$at]->after, $rest);
        }
        $circle = array_map(strval(...), array_slice(array_keys($path), $path[$at]));
        foreach ($principles as $one) {
            $first = array_search($one->id, $circle, true);
            if ($first !== false) {
                return [...array_slice($circle, $first), ...array_slice($circle, 0, $first)];
            }
        }

        return $circle;
    }

    /**
     * An order in which nothing comes before what it comes after: of what may come, the earliest in the set's own order.
     *
     * @param  list<Principle>  $principles  without a circle
     * @return list<string> ids
     */
    public static function order(array $principles): array
    {
        return self::taken($principles)[0];
    }

    /**
     * @param  list<Principle>  $principles
     * @return array{list<string>, array<string, Principle>} what could be put in order, and what is left
     */
    private static function taken(array $principles): array
    {
        $left = [];
        foreach ($principles as $one) {
            $left[$one->id] = $one;
        }
        $taken = [];
        do {
            $next = null;
            foreach ($left as $id => $one) {
                if (array_intersect_key(array_flip($one->after), $left) === []) {
                    $next = (string) $id;
                    break;
                }
            }
            if ($next !== null) {
                $taken[] = $next;
                unset($left[$next]);
            }
        } while ($next !== null);

        return [$taken, $left];
    }

    /**
     * @param  list<string>  $after
     * @param  array<string, Principle>  $rest
     */
    private static function firstLeft(array $after, array $rest): string
    {
        foreach ($after as $id) {
            if (isset($rest[$id])) {
                return $id;
            }
        }

        throw new \LogicException('what is left comes after something that is left');
    }
}
