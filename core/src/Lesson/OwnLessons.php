<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;

/**
 * The lessons that are a form's own (engine 4): "lesson 6" means one thing. They are kept by the ids of their entries; an entry
 * that came since, or was moved out of its lesson, belongs to the lesson it stands in. Pure.
 */
final class OwnLessons
{
    /** @return array<int, Passage> by number from 1, every entry once and in order; none where the form keeps none */
    public static function of(Form $form): array
    {
        $lessonOf = [];
        foreach ($form->lessons as $number => $ids) {
            foreach ($form->positionsOf($ids) as $position) {
                $lessonOf[$position] = $number;
            }
        }
        ksort($lessonOf);
        $starts = [];
        foreach (self::inOrder($lessonOf) as $position => $number) {
            $starts[$number] ??= $position;
        }

        return $starts === [] ? [] : self::from([1, ...array_slice(array_values($starts), 1)], $form->count());
    }

    /**
     * The numbers of those of some lessons that hold any of some entries.
     *
     * @param  list<list<string>>  $lessons  each as its entries
     * @param  int  $first  the number of the first
     * @param  list<string>  $entries
     * @return list<int> in order
     */
    public static function numbersWith(array $lessons, int $first, array $entries): array
    {
        $with = array_keys(array_filter($lessons, static fn (array $ids): bool => array_intersect($ids, $entries) !== []));

        return array_map(static fn (int $at): int => $first + $at, $with);
    }

    /**
     * The most entries whose lessons come one after the other: what is not among them was moved out of its lesson.
     *
     * @param  array<int, int>  $lessonOf  by position, in order
     * @return array<int, int>
     */
    private static function inOrder(array $lessonOf): array
    {
        $sorted = $lessonOf;
        asort($sorted); // stable, so what lies in order stays as it is
        if ($sorted === $lessonOf) {
            return $lessonOf;
        }
        $best = []; // by the lesson they end in: positions
        foreach ($lessonOf as $position => $number) {
            $longest = [];
            foreach ($best as $last => $run) {
                if ($last <= $number && count($run) > count($longest)) {
                    $longest = $run;
                }
            }
            $best[$number] = [...$longest, $position];
        }
        $runs = array_map(count(...), $best);

        return $runs === [] ? [] : array_intersect_key($lessonOf, array_flip($best[array_search(max($runs), $runs, true)]));
    }

    /**
     * Those of a passage, with their numbers; of one that goes on beyond it, its part.
     *
     * @return array<int, Passage>
     */
    public static function within(Form $form, Passage $target): array
    {
        $within = [];
        foreach (self::of($form) as $number => $lesson) {
            if ($lesson->to >= $target->from && $lesson->from <= $target->to) {
                $within[$number] = new Passage(max($lesson->from, $target->from), min($lesson->to, $target->to));
            }
        }

        return $within;
    }

    /**
     * Whether the lessons of a cut are the form's own, number by number.
     *
     * @param  list<Lesson>  $lessons
     */
    public static function are(Form $form, Passage $target, array $lessons): bool
    {
        $own = array_map(static fn (Passage $one): array => [$one->from, $one->to], self::within($form, $target));

        return $own === array_combine(array_map(static fn (Lesson $one): int => $one->number, $lessons), array_map(static fn (Lesson $one): array => [$one->from, $one->to], $lessons));
    }

    /**
     * Some lessons cut once more, numbered on from the first of them.
     *
     * @param  array<int, Passage>  $lessons  by number, one after the other
     * @param  list<int>  $cuts  positions before which there is a join to cut at
     * @return array<int, Passage>
     */
    public static function parted(array $lessons, array $cuts): array
    {
        if ($lessons === []) {
            return [];
        }
        $first = (int) array_key_first($lessons);
        [$from, $to] = [$lessons[$first]->from, end($lessons)->to];
        $inside = array_filter(array_map(static fn (int $after): int => $after + 1, $cuts), static fn (int $start): bool => $start > $from && $start <= $to);
        $starts = array_values(array_unique([...array_map(static fn (Passage $one): int => $one->from, array_values($lessons)), ...$inside]));
        sort($starts);
        $parted = self::from($starts, $to);

        return array_combine(range($first, $first + count($parted) - 1), $parted);
    }

    /**
     * Lessons as a form keeps them.
     *
     * @param  iterable<Passage|Lesson>  $lessons
     * @return list<list<string>> ids
     */
    public static function kept(Form $form, iterable $lessons): array
    {
        $kept = [];
        foreach ($lessons as $lesson) {
            $kept[] = $form->idsOf(new Passage($lesson->from, $lesson->to));
        }

        return $kept;
    }

    /**
     * The lessons a form keeps, where a teacher's hand puts a cut at some joins and takes others away.
     *
     * @param  array<int, bool>  $cuts  by the position before the join: whether there is one
     * @return list<list<string>>
     */
    public static function changed(Form $form, array $cuts): array
    {
        $ends = array_fill_keys(array_map(static fn (Passage $one): int => $one->to, self::of($form)), true);
        $ends = array_filter(array_replace($ends, $cuts, [$form->count() => true]));
        ksort($ends);

        return self::kept($form, self::from([1, ...array_map(static fn (int $after): int => $after + 1, array_slice(array_keys($ends), 0, -1))], $form->count()));
    }

    /**
     * @param  array<int>  $starts  in order
     * @return array<int, Passage> by number from 1
     */
    private static function from(array $starts, int $to): array
    {
        $starts = array_values($starts);
        $lessons = [];
        foreach ($starts as $at => $start) {
            $lessons[$at + 1] = new Passage($start, ($starts[$at + 1] ?? $to + 1) - 1);
        }

        return $lessons;
    }
}
