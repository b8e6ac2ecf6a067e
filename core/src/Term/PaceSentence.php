<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Internal\QueuedLesson;
use Gorvan\Core\Term\Internal\TermCalendar;

/** What is said first of a course in its term: what its pace comes to (engine 9). Pure. */
final class PaceSentence
{
    /** From so many times the pace on, the end is no matter of pace. */
    private const FAR = 2.0;

    /**
     * @param  list<QueuedLesson>  $all  what was to be given when the plan was begun
     * @param  list<QueuedLesson>  $left  what is not come to
     */
    public static function on(CourseForecast $forecast, CourseOutset $outset, TermCalendar $calendar, array $all, array $left): CourseForecast
    {
        $course = $outset->course;
        $open = array_values(array_filter($calendar->own, static fn (int $at): bool => $calendar->meetings[$at]->isOpen));
        if ($course->keepsAlive()) {
            return $forecast->with(['says' => Message::of('pace.keeps', count: $forecast->movements)]);
        }
        if ($all === []) {
            return $forecast->with(['says' => Message::of('pace.all_given', count: count($open))]);
        }
        $pace = self::pace($outset, $calendar, $all);
        $last = $calendar->own === [] ? null : $calendar->meetings[$calendar->own[count($calendar->own) - 1]]->on;
        if ($left === [] && $forecast->throughOn !== null) {
            $remain = count(array_filter($open, static fn (int $at): bool => $calendar->days[$at] > $forecast->throughOn));

            return $forecast->with(['pace' => $pace, 'says' => $course->approach === Approach::WholeSet
                ? Message::of('pace.pieces_through', pieces: count($outset->cut->lessons), on: Day::text($forecast->throughOn), remain: self::remain($remain))
                : Message::of('pace.through', pace: self::movements($pace->movements), on: Day::text($forecast->throughOn), remain: self::remain($remain))]);
        }

        return $forecast->with(['pace' => $pace, 'says' => match (true) {
            $course->approach === Approach::WholeSet => Message::of('pace.pieces_left', count: count($left), pieces: count($outset->cut->lessons)),
            // Of what begins later, or never, it is no news that the term comes to nothing of it.
            $pace->needed === null || $last === null || $forecast->reach === null => Message::of('pace.no_evening', count: count(array_unique(array_map(static fn (QueuedLesson $lesson): int => $lesson->number, $left)))),
            // Nobody goes at twice the pace: then it is said how far the term comes, and what the rest takes.
            $pace->needed > self::FAR * $pace->movements => Message::of('pace.far', pace: self::movements($pace->movements), reached: $course->form->numberAt($forecast->reach ?? 0), all: $course->form->numberAt($course->target->to), count: max(1, (int) ceil(round(self::load($outset, $left) / $outset->evening(), 6)))),
            default => Message::of('pace.needs', on: $last, needed: round($pace->needed, 1), pace: self::movements($pace->movements)),
        }]);
    }

    /** How fast a course goes, and where that is from: said, learned from its lessons, or usual for its approach. */
    public static function of(Course $course): Message
    {
        $kind = $course->approach->mainRound();
        $with = ['pace' => self::movements($course->pace->movements ?? 1.0), 'minutes' => round($course->minutesPerLoad($kind), 1)];
        $lessons = ($course->paces[$kind->value] ?? null)->lessons ?? 0;

        return match (true) {
            $course->said() !== null => Message::of('pace.is_said', ...$with),
            $lessons > 0 => Message::of('pace.is_learned', ...$with, count: $lessons),
            default => Message::of('pace.is_usual', ...$with),
        };
    }

    /** An amount of movements an evening, as a teacher says it: "2 to 3 movements". */
    public static function movements(float $movements): Message
    {
        $tenths = round($movements, 1);
        [$least, $most] = [(int) floor($tenths), (int) ceil($tenths)];

        return match (true) {
            $most <= 1 && $tenths < 1.0 => Message::of('pace.movement_every', count: max(2, (int) round(1.0 / max(0.05, $movements)))),
            $least === $most => Message::of('pace.movements', count: $least),
            default => Message::of('pace.movements_between', from: $least, to: $most),
        };
    }

    private static function remain(int $evenings): Message
    {
        return $evenings === 0 ? Message::of('pace.remain_none') : Message::of('pace.remain', count: $evenings);
    }

    /**
     * Load of some lessons in the round their size is made for; what a first, rough round takes counts by its minutes.
     *
     * @param  list<QueuedLesson>  $lessons
     */
    private static function load(CourseOutset $outset, array $lessons): float
    {
        $course = $outset->course;

        return array_sum(array_map(static fn (QueuedLesson $lesson): float => $lesson->load * $course->minutesPerLoad($lesson->kind) / $course->minutesPerLoad($course->approach->mainRound()), $lessons));
    }

    /** @param  list<QueuedLesson>  $all */
    private static function pace(CourseOutset $outset, TermCalendar $calendar, array $all): ForecastPace
    {
        $course = $outset->course;
        $movements = count(array_filter($course->target->positions(), static fn (int $position): bool => $course->form->at($position)->kind === EntryKind::Movement));
        $load = $outset->cut->loadOf($course->target);
        $each = $movements > 0 && $load > 0.0 ? $load / $movements : 1.0;
        $main = $course->minutesPerLoad($course->approach->mainRound());
        $open = self::load($outset, $all);
        $evenings = count(array_filter($calendar->evenings($course), static fn (int $at): bool => $calendar->meetings[$at]->isOpen));

        return new ForecastPace($main, $course->approach === Approach::WholeSet ? 1.0 : $outset->evening() / $each, $evenings === 0 ? null : $open / $evenings / $each);
    }
}
