<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\LessonKind;

/**
 * Which lessons of a course are still to be given, and in which order.
 *
 * @internal
 */
final readonly class LessonQueue
{
    /**
     * @param  int|null  $firstRound  of an outline: how many lessons the first round still takes before the second begins;
     *                                null for all of them
     * @return list<QueuedLesson>
     */
    public static function of(CourseOutset $outset, ?int $firstRound = null): array
    {
        $fresh = self::open($outset, $outset->taught, LessonKind::Fresh);
        if ($outset->course->approach !== Approach::OutlineFirst) {
            return $fresh;
        }
        $later = array_map(static fn (QueuedLesson $lesson): int => $lesson->number, array_slice($fresh, $firstRound ?? count($fresh)));
        $detail = array_filter(self::open($outset, $outset->detailed, LessonKind::Detail), static fn (QueuedLesson $lesson): bool => ! in_array($lesson->number, $later, true));

        return [...array_slice($fresh, 0, $firstRound), ...array_values($detail)];
    }

    /**
     * As much of a lesson, from its start, as some minutes take in; at least one entry.
     *
     * @return array{QueuedLesson, QueuedLesson|null} what is given, and the rest of it
     */
    public static function parted(CourseOutset $outset, QueuedLesson $lesson, int $minutes): array
    {
        $to = $lesson->passage->to;
        $part = $lesson;
        while ($part->minutes > $minutes && $to > $lesson->passage->from) {
            $part = self::queued($outset, $lesson->number, $lesson->kind, new Passage($lesson->passage->from, --$to));
        }

        return [$part, $to === $lesson->passage->to ? null : self::queued($outset, $lesson->number, $lesson->kind, new Passage($to + 1, $lesson->passage->to))];
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
        foreach ($outset->cut->lessons as $at => $lesson) {
            $open = array_filter(range($lesson->from, $lesson->to), static fn (int $position): bool => $form->at($position)->kind->countsInForm() && ! isset($isDone[$position]));
            if ($open !== []) {
                $queue[] = self::queued($outset, $at + 1, $kind, new Passage(min($open), max($open)));
            }
        }

        // What the last class said to begin with comes before what is next in the form.
        $isFirst = static fn (QueuedLesson $lesson): bool => array_filter($outset->firstNext, static fn (int $position): bool => $lesson->passage->from <= $position && $position <= $lesson->passage->to) !== [];

        return [...array_filter($queue, $isFirst), ...array_filter($queue, static fn (QueuedLesson $lesson): bool => ! $isFirst($lesson))];
    }

    private static function queued(CourseOutset $outset, int $number, LessonKind $kind, Passage $passage): QueuedLesson
    {
        $load = $outset->cut->loadOf($passage);

        return new QueuedLesson($number, $kind, $passage, $load, $outset->course->minutesFor($load, $kind));
    }
}
