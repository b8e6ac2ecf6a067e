<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Closure;
use Gorvan\Core\Term\Course;

/**
 * A term as the teacher changes it: its days, its closures, and its meetings in order, those that do not take place too.
 * Immutable; what cannot be is refused with the nearest thing that can.
 */
final readonly class TermDraft
{
    /** @var list<DraftMeeting> */
    public array $meetings;

    /**
     * @param  string  $from  first and last day `Y-m-d`
     * @param  list<Closure>  $closures
     * @param  list<DraftMeeting>  $meetings
     */
    public function __construct(public string $from, public string $to, public string $today, public array $closures, array $meetings)
    {
        usort($meetings, static fn (DraftMeeting $a, DraftMeeting $b): int => [$a->on, $a->at, $a->id] <=> [$b->on, $b->at, $b->id]);
        $this->meetings = $meetings;
    }

    /** @throws ChangeRefused when there is none, or it can no longer be changed */
    public function meeting(string $id): DraftMeeting
    {
        foreach ($this->meetings as $meeting) {
            if ($meeting->id === $id) {
                return $meeting->isOpen ? $meeting : throw ChangeRefused::isOver($meeting);
            }
        }

        throw ChangeRefused::gone();
    }

    public function put(DraftMeeting $changed): self
    {
        $others = array_filter($this->meetings, static fn (DraftMeeting $meeting): bool => $meeting->id !== $changed->id);

        return new self($this->from, $this->to, $this->today, $this->closures, [...array_values($others), $changed]);
    }

    public function closed(Closure $closure): self
    {
        return new self($this->from, $this->to, $this->today, [...$this->closures, $closure], $this->meetings);
    }

    /** @return list<DraftMeeting> those that take place */
    public function taking(): array
    {
        return array_values(array_filter($this->meetings, static fn (DraftMeeting $meeting): bool => $meeting->state->takesPlace()));
    }

    /** @return list<int> of those that take place */
    public function minutes(): array
    {
        return array_map(static fn (DraftMeeting $meeting): int => $meeting->minutes, $this->taking());
    }

    /** A course as these days have it: a showing whose day falls out is none. */
    public function holds(Course $course): Course
    {
        return $course->showing !== null && $this->fallsOut($course->showing->on) ? $course->withoutShowing() : $course;
    }

    /**
     * Refuses a day and time for a meeting that is closed, out of the term, gone by, or taken by another meeting.
     *
     * @param  string|null  $id  of the meeting that is moved
     *
     * @throws ChangeRefused
     */
    public function checkFree(string $on, string $at, int $minutes, ?string $id = null): void
    {
        if ($on < $this->from || $on > $this->to) {
            throw ChangeRefused::outside($on, $this->from, $this->to);
        }
        if ($on < $this->today) {
            throw ChangeRefused::goneBy($on, $this->today);
        }
        if ($this->isClosed($on)) {
            throw ChangeRefused::closed($on, $this->nearestFree($on, $id));
        }
        foreach ($this->taking() as $other) {
            if ($other->id !== $id && $other->on === $on && self::overlap($at, $minutes, $other->at, $other->minutes)) {
                throw ChangeRefused::taken($on, $other->at, $this->nearestFree($on, $id));
            }
        }
    }

    /**
     * Refuses a draft in which a meeting would come back to where something else is by now.
     *
     * @param  self  $from  as the term is; what is not elsewhere than there is not looked at
     *
     * @throws ChangeRefused
     */
    public function checkComingFrom(self $from): void
    {
        $place = static fn (?DraftMeeting $meeting): ?array => $meeting === null || ! $meeting->state->takesPlace() ? null : [$meeting->on, $meeting->at, $meeting->minutes];
        $there = array_column($from->meetings, null, 'id');
        foreach ($this->taking() as $meeting) {
            if ($place($meeting) !== $place($there[$meeting->id] ?? null)) {
                $this->checkFree($meeting->on, $meeting->at, $meeting->minutes, $meeting->id);
            }
        }
    }

    /** Whether a day on which something was to be shown falls out: it is closed, or what was to meet on it does not. */
    private function fallsOut(string $on): bool
    {
        $own = array_filter($this->meetings, static fn (DraftMeeting $meeting): bool => $meeting->on === $on);

        return $this->isClosed($on) || ($own !== [] && array_filter($own, static fn (DraftMeeting $meeting): bool => $meeting->state->takesPlace()) === []);
    }

    public function isClosed(string $on): bool
    {
        foreach ($this->closures as $closure) {
            if ($closure->covers($on)) {
                return true;
            }
        }

        return false;
    }

    /** The nearest day of the term that is open, still to come and has no meeting; the earlier of two. */
    public function nearestFree(string $on, ?string $id = null): ?string
    {
        $taken = [];
        foreach ($this->taking() as $meeting) {
            $taken[$meeting->on] = $meeting->id !== $id;
        }
        $day = Day::number($on);
        $days = Day::number($this->to) - Day::number($this->from);
        for ($away = 1; $away <= $days; $away++) {
            foreach ([Day::text($day - $away), Day::text($day + $away)] as $near) {
                if ($near >= max($this->from, $this->today) && $near <= $this->to && ! $this->isClosed($near) && ! ($taken[$near] ?? false)) {
                    return $near;
                }
            }
        }

        return null;
    }

    /** The open day nearest the middle of the widest gap between two meetings to come; the earlier of two (engine 9). */
    public function widestGap(): ?string
    {
        $days = array_values(array_unique(array_map(static fn (DraftMeeting $meeting): int => Day::number($meeting->on), $this->taking())));
        $best = null;
        $widest = 0;
        foreach (array_slice($days, 1) as $n => $day) {
            if (Day::text($day) >= $this->today && $day - $days[$n] > $widest) {
                $middle = $this->nearestOpen(max($days[$n] + 1, Day::number($this->today)), $day - 1, intdiv($days[$n] + $day, 2));
                if ($middle !== null) {
                    [$best, $widest] = [$middle, $day - $days[$n]];
                }
            }
        }

        return $best === null ? null : Day::text($best);
    }

    private function nearestOpen(int $first, int $last, int $middle): ?int
    {
        for ($away = 0; $away <= $last - $first; $away++) {
            foreach ([$middle - $away, $middle + $away] as $day) {
                if ($day >= $first && $day <= $last && ! $this->isClosed(Day::text($day))) {
                    return $day;
                }
            }
        }

        return null;
    }

    private static function overlap(string $at, int $minutes, string $other, int $otherMinutes): bool
    {
        $start = static fn (string $time): int => 60 * (int) substr($time, 0, 2) + (int) substr($time, 3, 2);

        return $start($at) < $start($other) + $otherMinutes && $start($other) < $start($at) + $minutes;
    }
}
