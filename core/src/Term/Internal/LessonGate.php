<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\MeetingKind;

/**
 * Whether a course gives its next lesson at a meeting (engine 9): what the teacher fixed first, then the calendar, then a rhythm
 * and an even spread where they are wanted, then what the class remembers of the lesson before.
 *
 * @internal
 */
final readonly class LessonGate
{
    /** So much of those expected has met the last lesson. */
    public const LEAST_MET = 0.6;

    /** The last lesson is looked at after so many days at most. */
    public const MOST_DAYS = 7;

    /** However few lessons there are for the evenings, so many evenings in a row wait for the next one, and no more. */
    private const MOST_WAITING = 2;

    private const TOLERANCE = 1e-9;

    /** @var list<int> places of the evenings that calendar and pins leave for lessons */
    private array $evenings;

    /** @param  list<QueuedLesson>  $all  what was to be given when the plan was begun */
    public function __construct(private CourseOutset $outset, private TermCalendar $calendar, private array $all)
    {
        $this->evenings = $calendar->evenings($outset->course);
    }

    /**
     * @param  list<QueuedLesson>  $queue
     * @param  bool  $hasTaught  something of the form is taught by now
     * @param  int  $inARow  lessons and parts since a meeting without new ones
     * @param  float  $given  load given in this term by now
     * @param  int  $without  evenings in a row, before this one, that brought nothing new
     * @param  bool  $wasHeldBack  the next lesson was held back at the last meeting, for what the class remembers
     * @param  callable(): (array{float, float, int|null}|null)  $last  of the last lesson: who of those expected has met it, how they
     *                                                               recall it, its number; null where nothing came before
     */
    public function decide(int $at, array $queue, bool $hasTaught, int $inARow, float $given, int $without, bool $wasHeldBack, callable $last): Decision
    {
        $next = $queue[0] ?? null;
        $pins = $this->calendar->meetings[$at]->pins;
        $course = $this->outset->course;
        $pinned = $pins->lessons[$course->id] ?? null;
        if ($next === null) {
            return $this->withoutLessons($at);
        }
        $held = match (true) {
            ! $this->calendar->bringsNew => Decision::holds(Message::of('plan.why.no_new_part')),
            $pins->bringsNothing() => Decision::holds(Message::of('plan.why.nothing_new')),
            isset($pins->gives[$course->id]) => Decision::gives($next, Message::of('plan.why.pinned', number: $next->number)),
            $pinned !== null && $pinned > $next->number => Decision::gives($next, Message::of('plan.why.before_pinned', number: $next->number, pinned: $pinned)),
            ($pins->boxes[Box::New->value] ?? 0) > 0 && $pinned === null && $this->pinAhead($at) === null => Decision::gives($next, Message::of('plan.why.minutes_given', number: $next->number, minutes: $pins->boxes[Box::New->value])),
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
        if (! $hasTaught) {
            return Decision::gives($next, $this->because($next, null, false));
        }

        return $this->byCalendar($at, $next)
            ?? $this->forPin($at, $next, $queue, $ahead)
            ?? $this->byRule($at, $next, $inARow, $given, $without)
            ?? $this->byClass($next, $wasHeldBack, $last)
            ?? Decision::gives($next, $this->because($next, $last(), $wasHeldBack));
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

    /** Whoever has no lesson left still has its showing, its eve of a break, its look back. */
    private function withoutLessons(int $at): Decision
    {
        $course = $this->outset->course;
        $kind = $this->calendar->holds($at, $course) ?? MeetingKind::Consolidation;
        $why = match ($kind) {
            MeetingKind::Showing => Message::of('plan.why.showing'),
            MeetingKind::LookBack => Message::of('plan.why.look_back'),
            default => Message::of(match (true) {
                $course->keepsAlive() => 'plan.why.keeps',
                $course->approach === Approach::WholeSet => 'plan.why.all_pieces',
                default => 'plan.why.all_given',
            }),
        };

        return Decision::holds($why, $kind);
    }

    private function byCalendar(int $at, QueuedLesson $next): ?Decision
    {
        return match ($this->calendar->holds($at, $this->outset->course)) {
            MeetingKind::Showing => Decision::holds(Message::of('plan.why.showing'), MeetingKind::Showing),
            MeetingKind::Reserve => Decision::holds(Message::of('plan.why.reserve', number: $next->number), MeetingKind::Reserve),
            MeetingKind::BeforeBreak => Decision::holds(Message::of('plan.why.before_break', days: $this->calendar->breakAfter($at) ?? 0), MeetingKind::BeforeBreak),
            MeetingKind::LookBack => Decision::holds(Message::of('plan.why.look_back'), MeetingKind::LookBack),
            default => null,
        };
    }

    /**
     * A lesson comes in time for one that is pinned further on.
     *
     * @param  list<QueuedLesson>  $queue
     * @param  array{int, int}|null  $ahead
     */
    private function forPin(int $at, QueuedLesson $next, array $queue, ?array $ahead): ?Decision
    {
        if ($ahead === null) {
            return null;
        }
        $need = count(array_filter($queue, static fn (QueuedLesson $lesson): bool => $lesson->kind === $next->kind && $lesson->number < $ahead[1]));
        $room = count(array_filter($this->evenings, fn (int $one): bool => $at <= $one && $one < $ahead[0] && $this->calendar->meetings[$one]->isOpen));

        return $need < $room ? null : Decision::gives($next, Message::of('plan.why.for_pin', number: $next->number, pinned: $ahead[1], on: $this->calendar->meetings[$ahead[0]]->on));
    }

    private function byRule(int $at, QueuedLesson $next, int $inARow, float $given, int $without): ?Decision
    {
        $course = $this->outset->course;
        if ($inARow >= $course->lessonsInARow()) {
            return Decision::holds(Message::of('plan.why.rhythm', count: $inARow));
        }
        if ($course->spread !== true || $without >= self::MOST_WAITING || $given < $this->due($at) - self::TOLERANCE) {
            return null;
        }

        return Decision::holds(Message::of('plan.why.spread', number: $next->number));
    }

    /** The load that may be given before an evening, where lessons lie evenly over the term (engine 9). */
    private function due(int $at): float
    {
        $course = $this->outset->course;
        $share = static fn (array $of): float => count(array_filter($of, static fn (mixed $one): bool => $one <= $at)) / max(1, count($of));
        $whole = $this->outset->given + array_sum(array_map(static fn (QueuedLesson $lesson): float => $lesson->load, $this->all));
        $due = $whole * $share($this->evenings);
        $showing = $course->showingPassage();
        if ($showing !== null && $course->showing !== null && $this->calendar->meetings[$at]->on < $course->showing->on) {
            $until = array_values(array_filter($this->evenings, fn (int $one): bool => $this->calendar->meetings[$one]->on < $course->showing->on));
            $shown = $this->outset->given + array_sum(array_map(
                fn (QueuedLesson $lesson): float => $lesson->passage->from > $showing->to ? 0.0 : $this->outset->cut->loadOf(new Passage($lesson->passage->from, min($lesson->passage->to, $showing->to))),
                $this->all,
            ));
            $due = max($due, $shown * $share($until));
        }

        return $due;
    }

    /** @param  callable(): (array{float, float, int|null}|null)  $last */
    private function byClass(QueuedLesson $next, bool $wasHeldBack, callable $last): ?Decision
    {
        $gate = $this->outset->course->gate();
        if ($gate <= 0.0 || $wasHeldBack) {
            return null; // whoever has no gate waits for nobody, and nobody waits for the same lesson twice running
        }
        [$met, $recall, $number] = $last() ?? [1.0, 1.0, null];

        return match (true) {
            $met < self::LEAST_MET - self::TOLERANCE => Decision::heldBack(self::named('plan.why.few_met', $number, ['met' => self::percent($met), 'least' => self::percent(self::LEAST_MET)])),
            $recall < $gate - self::TOLERANCE => Decision::heldBack(self::named('plan.why.gate', $number, ['recall' => self::percent($recall), 'gate' => self::percent($gate)])),
            default => null,
        };
    }

    /** @param  array{float, float, int|null}|null  $last */
    private function because(QueuedLesson $next, ?array $last, bool $wasHeldBack): Message
    {
        $gate = $this->outset->course->gate();

        return match (true) {
            $this->outset->course->approach === Approach::WholeSet => Message::of('plan.why.piece', number: $next->number),
            $last === null => Message::of('plan.why.first', number: $next->number),
            $gate <= 0.0 => Message::of('plan.why.next', number: $next->number),
            $wasHeldBack && $last[1] < $gate => Message::of('plan.why.waited', number: $next->number),
            default => self::named('plan.why.ready', $last[2], ['next' => $next->number, 'recall' => self::percent($last[1]), 'gate' => self::percent($gate)]),
        };
    }

    private static function percent(float $share): int
    {
        return (int) round(100 * min(1.0, $share));
    }

    /** @param  array<string, int|float>  $with */
    private static function named(string $code, ?int $number, array $with): Message
    {
        return Message::of($code, ...$with, lesson: $number === null ? Message::of('plan.lesson_before') : Message::of('plan.lesson_number', number: $number));
    }
}
