<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\TermMeeting;

/**
 * What the calendar of a term says of its meetings: which come after a break, and which are kept in reserve.
 *
 * @internal
 */
final readonly class TermCalendar
{
    /** A break is longer than this many days, and than half as much again as the usual gap. */
    private const BREAK_DAYS = 14;

    private const BREAK_GAPS = 1.5;

    private const RESERVE_ONE_IN = 6;

    private const USUAL_GAP = 7;

    /** @var list<int> */
    public array $days;

    /** @param  list<TermMeeting>  $meetings */
    public function __construct(public array $meetings)
    {
        $this->days = array_map(static fn (TermMeeting $meeting): int => Day::number($meeting->on), $meetings);
    }

    /** The day of the meeting after this one, later than it in any case. */
    public function next(int $at): int
    {
        return max($this->days[$at + 1] ?? $this->days[$at] + self::USUAL_GAP, $this->days[$at] + 1);
    }

    /** The day on which the term is looked back at: a week after its last meeting. */
    public function end(): int
    {
        return ($this->days[count($this->days) - 1] ?? 0) + self::USUAL_GAP;
    }

    public function isAfterBreak(int $at): bool
    {
        $gaps = [];
        foreach (array_slice($this->days, 1) as $n => $day) {
            $gaps[$n + 1] = $day - $this->days[$n];
        }
        $gap = $gaps[$at] ?? 0;
        sort($gaps);

        return $gap > self::BREAK_DAYS && $gap > self::BREAK_GAPS * ($gaps[intdiv(count($gaps) - 1, 2)] ?? 0);
    }

    /** How many meetings are kept before the end of term, and before a showing. */
    public function reserve(): int
    {
        $meetings = count($this->meetings);

        return $meetings <= 1 ? 0 : max(1, intdiv($meetings, self::RESERVE_ONE_IN));
    }

    /** @param  string|null  $showing  day `Y-m-d` */
    public function isReserve(int $at, ?string $showing): bool
    {
        $reserve = $this->reserve();
        if ($at >= count($this->meetings) - $reserve) {
            return true;
        }
        $until = count(array_filter($this->meetings, static fn (TermMeeting $meeting): bool => $showing !== null && $meeting->on <= $showing));

        return $at < $until && $at >= $until - $reserve;
    }
}
