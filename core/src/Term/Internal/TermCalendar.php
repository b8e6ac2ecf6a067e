<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\TermMeeting;

/**
 * What the calendar of a term says of its meetings, as one course sees it: which is before a break, which is kept before a
 * showing, which is the showing's own, and which is the last.
 *
 * @internal
 */
final readonly class TermCalendar
{
    /** A break is longer than this many days, and than half as much again as the usual gap. */
    private const BREAK_DAYS = 14;

    private const BREAK_GAPS = 1.5;

    /** A term of so many meetings ends with a look back. */
    private const LOOKS_BACK = 6;

    private const USUAL_GAP = 7;

    /** @var list<int> */
    public array $days;

    /** @var list<int> places of the course's own meetings in the term */
    public array $own;

    /** @var array<int, int> by place in the term, how many of its own come before */
    private array $order;

    private int $usualGap;

    /**
     * @param  list<TermMeeting>  $meetings  of the term
     * @param  list<int>|null  $own  where courses take turns; null for all
     * @param  bool  $bringsNew  the running order of its classes has a place for something new
     */
    public function __construct(public array $meetings, ?array $own = null, public bool $bringsNew = true)
    {
        $this->days = array_map(static fn (TermMeeting $meeting): int => Day::number($meeting->on), $meetings);
        $this->own = $own ?? array_keys($meetings);
        $this->order = array_flip($this->own);
        $gaps = [];
        foreach (array_slice($this->own, 1) as $n => $at) {
            $gaps[] = $this->days[$at] - $this->days[$this->own[$n]];
        }
        sort($gaps);
        $this->usualGap = $gaps === [] ? self::USUAL_GAP : $gaps[intdiv(count($gaps) - 1, 2)];
    }

    public function isOwn(int $at): bool
    {
        return isset($this->order[$at]);
    }

    /** The day of the course's meeting after this one, later than it in any case. */
    public function next(int $at): int
    {
        $next = $this->following($at);

        return max($next === null ? $this->days[$at] + self::USUAL_GAP : $this->days[$next], $this->days[$at] + 1);
    }

    /** The day on which the term is looked back at: a week after its last meeting. */
    public function end(): int
    {
        return ($this->days[count($this->days) - 1] ?? 0) + self::USUAL_GAP;
    }

    /** Days to the next meeting, where a break lies between; null where none does. */
    public function breakAfter(int $at): ?int
    {
        $next = $this->following($at);
        $gap = $next === null ? 0 : $this->days[$next] - $this->days[$at];

        return $gap > self::BREAK_DAYS && $gap > self::BREAK_GAPS * $this->usualGap ? $gap : null;
    }

    public function isShowing(int $at, Course $course): bool
    {
        return $course->showing !== null && $this->meetings[$at]->on === $course->showing->on;
    }

    /** Whether a meeting is one of those kept before the showing. */
    public function isReserve(int $at, Course $course): bool
    {
        if ($course->showing === null || $this->meetings[$at]->on >= $course->showing->on || $this->meetings[$at]->pins->spendsReserve) {
            return false;
        }
        $before = array_values(array_filter($this->own, fn (int $one): bool => $this->meetings[$one]->on < $course->showing->on));

        return in_array($at, array_slice($before, count($before) - min($course->reserve, count($before))), true);
    }

    public function isLookBack(int $at, Course $course): bool
    {
        return $course->looksBack && count($this->own) >= self::LOOKS_BACK && $at === $this->own[count($this->own) - 1];
    }

    /** What the calendar makes of a meeting that brings nothing new; null where it leaves it for a lesson. */
    public function holds(int $at, Course $course): ?MeetingKind
    {
        return match (true) {
            $this->isShowing($at, $course) => MeetingKind::Showing,
            $this->isReserve($at, $course) => MeetingKind::Reserve,
            $this->breakAfter($at) !== null => MeetingKind::BeforeBreak,
            $this->isLookBack($at, $course) => MeetingKind::LookBack,
            default => null,
        };
    }

    /**
     * The evenings that calendar and pins leave for lessons, from the term's first on.
     *
     * @return list<int> places in the term
     */
    public function evenings(Course $course): array
    {
        return array_values(array_filter($this->own, fn (int $at): bool => $this->bringsNew && ! $this->meetings[$at]->pins->bringsNothing() && $this->holds($at, $course) === null));
    }

    private function following(int $at): ?int
    {
        if (isset($this->order[$at])) {
            return $this->own[$this->order[$at] + 1] ?? null;
        }
        foreach ($this->own as $one) {
            if ($one > $at) {
                return $one;
            }
        }

        return null;
    }
}
