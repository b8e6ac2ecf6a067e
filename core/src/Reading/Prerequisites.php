<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** What comes before what: ids, each with the ids it comes after. What is named and is not among them is no part of it. Pure. */
final class Prerequisites
{
    /**
     * A circle in which each comes after the next, and the last after the first.
     *
     * @param  array<string, list<string>>  $after  by id, in order
     * @return list<string> ids, from the earliest in order; empty where there is no circle
     */
    public static function circle(array $after): array
    {
        $rest = self::taken($after)[1];
        if ($rest === []) {
            return [];
        }
        // What is left comes after something that is left: following it comes round.
        $path = [];
        $at = (string) array_key_first($rest);
        while (! isset($path[$at])) {
            $path[$at] = count($path);
            $at = self::firstLeft($rest[$at], $rest);
        }
        $circle = array_map(strval(...), array_slice(array_keys($path), $path[$at]));
        foreach (array_keys($after) as $id) {
            $first = array_search((string) $id, $circle, true);
            if ($first !== false) {
                return [...array_slice($circle, $first), ...array_slice($circle, 0, $first)];
            }
        }

        return $circle;
    }

    /**
     * An order in which nothing comes before what it comes after: of what may come, the earliest in the order given.
     *
     * @param  array<string, list<string>>  $after  without a circle
     * @return list<string> ids
     */
    public static function order(array $after): array
    {
        return self::taken($after)[0];
    }

    /**
     * @param  array<string, list<string>>  $after
     * @return array{list<string>, array<string, list<string>>} what could be put in order, and what is left
     */
    private static function taken(array $after): array
    {
        $left = $after;
        $taken = [];
        do {
            $next = null;
            foreach ($left as $id => $before) {
                if (array_intersect_key(array_flip($before), $left) === []) {
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
     * @param  array<string, list<string>>  $rest
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
