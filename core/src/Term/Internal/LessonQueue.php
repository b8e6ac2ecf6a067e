<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\LessonKind;

/**
 * Which lessons of a course are still to be given, and in which order. What was taught is taught, whatever lesson it belongs to:
 * of each lesson only what is open is left, and one that is larger than an evening comes in parts.
 *
 * @internal
 */
final readonly class LessonQueue
{
    /** A lesson above so many times an evening's load comes in parts (engine 8). */
    private const WHOLE = 1.5;

    private const TOLERANCE = 1e-9;

    /** @return list<QueuedLesson> */
    public static function of(CourseOutset $outset): array
    {
        if ($outset->course->keepsAlive()) {
            return [];
        }
        $first = self::open($outset, $outset->taught, $outset->course->approach->firstRound());

        return $outset->course->approach === Approach::OutlineFirst ? [...$first, ...self::open($outset, $outset->detailed, LessonKind::Detail)] : $first;
    }

    /**
     * As much of a lesson, from its start, as a load comes to; at least one entry that counts.
     *
     * @return array{QueuedLesson, QueuedLesson|null} what is given, and the rest of it
     */
    public static function parted(CourseOutset $outset, QueuedLesson $lesson, float $most): array
    {
        $to = $lesson->passage->to;
        $load = $lesson->load;
        $least = self::firstCounted($outset, $lesson->passage);
        while ($load > $most + self::TOLERANCE && $to > $least) {
            $load -= $outset->cut->loads[--$to]->load;
        }
        if ($to === $lesson->passage->to) {
            return [$lesson, null];
        }
        $part = static fn (Passage $passage): QueuedLesson => new QueuedLesson($lesson->number, $lesson->kind, $passage, $outset->cut->loadOf($passage), true);

        return [$part(new Passage($lesson->passage->from, $to)), $part(new Passage($to + 1, $lesson->passage->to))];
    }

    /**
     * @param  list<int>  $done
     * @return list<QueuedLesson>
     */
    private static function open(CourseOutset $outset, array $done, LessonKind $kind): array
    {
        $isDone = array_fill_keys($done, true);
        $form = $outset->course->form;
        $queue = [];
        foreach ($outset->cut->lessons as $lesson) {
            $counted = array_values(array_filter(range($lesson->from, $lesson->to), static fn (int $position): bool => $form->at($position)->kind->countsInForm()));
            foreach (self::runs($counted, $isDone) as $run) {
                $isWhole = $run === $counted;
                foreach (self::pieces($outset, new Passage($run[0], $run[count($run) - 1]), $kind) as [$passage, $isAll]) {
                    $queue[] = new QueuedLesson($lesson->number, $kind, $passage, $outset->cut->loadOf($passage), ! $isWhole || ! $isAll);
                }
            }
        }

        // What the last class said to begin with comes before what is next in the form.
        $isFirst = static fn (QueuedLesson $lesson): bool => array_filter($outset->firstNext, static fn (int $position): bool => $lesson->passage->from <= $position && $position <= $lesson->passage->to) !== [];

        return [...array_filter($queue, $isFirst), ...array_filter($queue, static fn (QueuedLesson $lesson): bool => ! $isFirst($lesson))];
    }

    /**
     * What of a lesson is open, each run without what was taught in between.
     *
     * @param  list<int>  $counted
     * @param  array<int, true>  $isDone
     * @return list<non-empty-list<int>>
     */
    private static function runs(array $counted, array $isDone): array
    {
        $runs = [];
        $run = [];
        foreach ($counted as $position) {
            if (! isset($isDone[$position])) {
                $run[] = $position;
            } elseif ($run !== []) {
                $runs[] = $run;
                $run = [];
            }
        }

        return $run === [] ? $runs : [...$runs, $run];
    }

    /** @return list<array{Passage, bool}> the passage, or its parts where it is too large for an evening; and whether it is all */
    private static function pieces(CourseOutset $outset, Passage $passage, LessonKind $kind): array
    {
        $load = $outset->cut->loadOf($passage);
        $evening = $outset->evening();
        $isWhole = $outset->course->approach === Approach::WholeSet || $load <= self::WHOLE * $evening + self::TOLERANCE
            || ($kind === LessonKind::Rough && $load <= CourseWalk::MOST_ROUGH + self::TOLERANCE);
        if ($isWhole || self::firstCounted($outset, $passage) >= $passage->to) {
            return [[$passage, true]];
        }
        $parts = (new LessonCutter)->weighing($outset->course->size->lambda)->again($outset->cut, $passage, $kind === LessonKind::Rough ? CourseWalk::MOST_ROUGH : $evening);

        return array_map(static fn (Lesson $part): array => [new Passage($part->from, $part->to), count($parts) === 1], $parts);
    }

    private static function firstCounted(CourseOutset $outset, Passage $passage): int
    {
        foreach ($passage->positions() as $position) {
            if ($outset->course->form->at($position)->kind->countsInForm()) {
                return $position;
            }
        }

        return $passage->to;
    }
}
