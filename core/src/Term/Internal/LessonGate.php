<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\MeetingKind;

/**
 * Whether a course gives its next lesson at a meeting (engine 9): what the teacher fixed first, then breaks and reserves,
 * then the rhythm, then what the class remembers of the lesson before, then the minutes.
 *
 * @internal
 */
final readonly class LessonGate
{
    /** So much of the class has met the last lesson. */
    public const LEAST_MET = 0.6;

    /** The last lesson is looked at after so many days at most. */
    public const MOST_DAYS = 7;

    private const TOLERANCE = 1e-9;

    public function __construct(private CourseOutset $outset, private TermCalendar $calendar)
    {
    }

    /**
     * @param  list<QueuedLesson>  $queue
     * @param  int  $middle  the course's minutes for review, new work and run-through
     * @param  callable(): (array{float, float, int|null}|null)  $last  of the last lesson: who has met it, how they recall it,
     *                                                               its number; null where nothing came before
     */
    public function decide(int $at, array $queue, int $inARow, int $middle, callable $last): Decision
    {
        return $this->fitting($this->whole($at, $queue, $inARow, $last), $middle);
    }

    /**
     * @param  list<QueuedLesson>  $queue
     * @param  callable(): (array{float, float, int|null}|null)  $last
     */
    private function whole(int $at, array $queue, int $inARow, callable $last): Decision
    {
        $next = $queue[0] ?? null;
        $pins = $this->calendar->meetings[$at]->pins;
        $pinned = $pins->lessons[$this->outset->course->id] ?? null;
        if ($next === null) {
            return Decision::holds(Message::of('plan.why.all_given'));
        }
        $held = match (true) {
            $pins->nothingNew => Decision::holds(Message::of('plan.why.nothing_new')),
            $pinned !== null && $pinned > $next->number => Decision::gives($next, Message::of('plan.why.before_pinned', number: $next->number, pinned: $pinned)),
            $pinned === $next->number => Decision::gives($next, Message::of('plan.why.pinned', number: $next->number)),
            default => null,
        };
        if ($held !== null) {
            return $held;
        }
        $ahead = $this->pinAhead($at);
        if ($ahead !== null && $next->number >= $ahead[1]) {
            return Decision::holds(Message::of('plan.why.waits_for_pin', number: $next->number, on: $this->calendar->meetings[$ahead[0]]->on));
        }

        return $this->byRule($at, $next) ?? $this->byClass($next, $queue, $ahead, $at, $inARow, $last) ?? Decision::gives($next, $this->because($next, $last()));
    }

    /** How many of the meetings from one to another could bring a lesson. */
    private function room(int $from, int $to): int
    {
        $room = 0;
        for ($at = $from; $at < $to; $at++) {
            $meeting = $this->calendar->meetings[$at];
            $room += (int) ($meeting->isOpen && ! $meeting->pins->nothingNew && ! $this->calendar->isAfterBreak($at));
        }

        return $room;
    }

    /** @return array{int, int}|null the next meeting with a lesson pinned to it, and the number of that lesson */
    public function pinAhead(int $after): ?array
    {
        for ($at = $after + 1; $at < count($this->calendar->meetings); $at++) {
            $number = $this->calendar->meetings[$at]->pins->lessons[$this->outset->course->id] ?? null;
            if ($number !== null && $this->calendar->meetings[$at]->isOpen) {
                return [$at, $number];
            }
        }

        return null;
    }

    private function byRule(int $at, QueuedLesson $next): ?Decision
    {
        if ($this->calendar->isAfterBreak($at)) {
            return Decision::holds(Message::of('plan.why.break', days: $this->calendar->days[$at] - $this->calendar->days[$at - 1]));
        }
        if (! $this->calendar->meetings[$at]->pins->spendsReserve && $this->calendar->isReserve($at, $this->outset->course->showing?->on)) {
            return Decision::holds(Message::of('plan.why.reserve', number: $next->number), MeetingKind::Reserve);
        }

        return null;
    }

    /**
     * @param  list<QueuedLesson>  $queue
     * @param  array{int, int}|null  $ahead
     * @param  callable(): (array{float, float, int|null}|null)  $last
     */
    private function byClass(QueuedLesson $next, array $queue, ?array $ahead, int $at, int $inARow, callable $last): ?Decision
    {
        if ($ahead !== null) {
            $need = count(array_filter($queue, static fn (QueuedLesson $lesson): bool => $lesson->kind === $next->kind && $lesson->number < $ahead[1]));
            if ($need >= $this->room($at, $ahead[0])) {
                return Decision::gives($next, Message::of('plan.why.for_pin', number: $next->number, pinned: $ahead[1], on: $this->calendar->meetings[$ahead[0]]->on));
            }
        }
        $course = $this->outset->course;
        if ($inARow >= $course->lessonsInARow()) {
            return Decision::holds(Message::of('plan.why.rhythm', count: $inARow));
        }
        [$met, $recall, $number] = $last() ?? [1.0, 1.0, null];
        $gate = $course->gate();

        return match (true) {
            $gate <= 0.0 => null, // whoever has no gate waits for nobody
            $met < self::LEAST_MET - self::TOLERANCE => Decision::holds(self::named('plan.why.few_met', $number, ['met' => self::percent($met), 'least' => self::percent(self::LEAST_MET)])),
            $recall < $gate - self::TOLERANCE => Decision::holds(self::named('plan.why.gate', $number, ['recall' => self::percent($recall), 'gate' => self::percent($gate)])),
            default => null,
        };
    }

    /** What of a lesson an evening takes in: a fifth of the course's box stays for review. */
    private function fitting(Decision $decision, int $middle): Decision
    {
        $most = $middle - MeetingBoxes::keptForReview($middle);
        if ($decision->lesson === null || $decision->lesson->minutes <= $most) {
            return $decision;
        }
        [$part, $rest] = LessonQueue::parted($this->outset, $decision->lesson, $most);

        return $rest === null ? $decision : Decision::gives($part, Message::of('plan.why.in_part', number: $part->number, minutes: $decision->lesson->minutes, most: $most));
    }

    /** @param  array{float, float, int|null}|null  $last */
    private function because(QueuedLesson $next, ?array $last): Message
    {
        return $last === null
            ? Message::of('plan.why.first', number: $next->number)
            : self::named('plan.why.ready', $last[2], ['next' => $next->number, 'recall' => self::percent($last[1]), 'gate' => self::percent($this->outset->course->gate())]);
    }

    private static function percent(float $share): int
    {
        return (int) round(100 * $share);
    }

    /** @param  array<string, int|float>  $with */
    private static function named(string $code, ?int $number, array $with): Message
    {
        return Message::of($code, ...$with, lesson: $number === null ? Message::of('plan.lesson_before') : Message::of('plan.lesson_number', number: $number));
    }
}
