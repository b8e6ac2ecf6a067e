<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Memory\Draw;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Term\ExpectedStudent;

/**
 * The memories of a class while a plan is walked through: each student several times over, so that a forecast is an average
 * and not a best case (engine 9). Days are whole numbers ({@see \Gorvan\Core\Reading\Day}).
 *
 * @internal
 */
final class SimulatedClass
{
    /** So many memories at least stand for a class. */
    private const LEAST_COPIES = 64;

    public readonly int $count;

    /** How many memories were updated, for who wants to know what a plan costs. */
    public int $updates = 0;

    /** @var non-empty-list<ExpectedStudent> whom each memory belongs to */
    private array $students;

    /** @var non-empty-list<int> which copy of the student each memory is */
    private array $copies;

    /** @var array<int, array<int, MemoryState>> by position and memory */
    private array $states = [];

    /** @var array<int, array<int, int>> day of the last contact, by position and memory */
    private array $lasts = [];

    /** @var array<int, array<int, MemoryState>> states after practice on the day that is looked at */
    private array $practised = [];

    private int $practisedOn = PHP_INT_MIN;

    /** @var array<int, array<int, float>> mean recall by position and day, until the next contact: a day is looked at from the meeting before, too */
    private array $means = [];

    private readonly Evidence $practice;

    private readonly MemoryState $firstPractised;

    private float $allCome = 0.0;

    /** @param  list<ExpectedStudent>  $students  none: invented ones */
    public function __construct(private readonly string $seed, array $students, private readonly MemoryModel $model = new MemoryModel)
    {
        $roster = $students === [] ? ExpectedStudent::invented() : $students;
        $times = max(1, (int) ceil(self::LEAST_COPIES / count($roster)));
        $all = $copies = [];
        foreach ($roster as $student) {
            for ($copy = 0; $copy < $times; $copy++) {
                foreach ($student->known as $position => $known) {
                    $this->states[$position][count($all)] = $known->state;
                    $this->lasts[$position][count($all)] = $known->last;
                }
                $all[] = $student;
                $copies[] = $copy;
                $this->allCome += $student->comes;
            }
        }
        $this->students = $all; // @phpstan-ignore assign.propertyType (a roster is never empty)
        $this->copies = $copies; // @phpstan-ignore assign.propertyType
        $this->count = count($all);
        $this->practice = Evidence::practised();
        $this->firstPractised = $model->first($this->practice);
    }

    /**
     * Who comes, by a pure function of seed, student, date and copy.
     *
     * @return list<int> the memories that are there
     */
    public function present(string $date): array
    {
        $present = [];
        foreach ($this->students as $at => $student) {
            if (Draw::of("$this->seed|$student->id|$date|{$this->copies[$at]}") < $student->comes) {
                $present[] = $at;
            }
        }

        return $present;
    }

    /**
     * Unmarked contact with an entry on a day; a second one on the same day changes nothing.
     *
     * @param  list<int>  $present
     */
    public function contact(int $position, int $day, Evidence $evidence, array $present): void
    {
        unset($this->means[$position]);
        $known = $evidence === $this->practice && $this->practisedOn === $day ? $this->practised[$position] ?? [] : [];
        $first = $from = $owner = null;
        $to = $this->firstPractised;
        foreach ($present as $at) {
            $state = $this->states[$position][$at] ?? null;
            if ($state === null) {
                $this->states[$position][$at] = $first ??= $this->model->first($evidence);
            } elseif ($this->lasts[$position][$at] >= $day) {
                continue;
            } elseif (isset($known[$at])) {
                $this->states[$position][$at] = $known[$at];
            } else {
                // Copies of a student that have come to the same evenings share one state, and so its next.
                if ($state !== $from || $this->students[$at] !== $owner) {
                    $this->updates++;
                    [$from, $owner] = [$state, $this->students[$at]];
                    $to = $this->model->later($state, $day - $this->lasts[$position][$at], $evidence, $owner->trust);
                }
                $this->states[$position][$at] = $to;
            }
            $this->lasts[$position][$at] = $day;
        }
    }

    /** How many of the class come to a meeting, on average, 0..1. */
    public function usuallyComes(): float
    {
        return $this->allCome / $this->count;
    }

    /** What {@see gain()} and {@see contact()} call practice. */
    public function practice(): Evidence
    {
        return $this->practice;
    }

    /**
     * What practising an entry tonight is worth (engine 7).
     *
     * @param  Evidence|null  $other  what else tonight does to the entry
     */
    public function gain(int $position, int $day, int $next, ?Evidence $other): EntryGain
    {
        if ($this->practisedOn !== $day) {
            [$this->practised, $this->practisedOn] = [[], $day];
        }
        $states = $this->states[$position] ?? [];
        $lasts = $this->lasts[$position] ?? [];
        $model = $this->model;
        $ahead = $next - $day;
        $fromNothing = $model->read($ahead, $this->firstPractised->stability);
        $fromOther = $other === null ? 0.0 : $model->read($ahead, $model->first($other)->stability);
        $sum = $with = $without = 0.0;
        $byStudent = [];
        $after = [];
        $before = $owner = null; // the copy before this one, where it is the same student's and shares its state
        $one = $none = $own = 0.0;
        foreach ($this->students as $at => $student) {
            $state = $states[$at] ?? null;
            if ($student !== $owner) {
                if ($owner !== null) {
                    $byStudent[$owner->id] = $own;
                }
                $own = 0.0;
            }
            if ($state !== null && $state === $before && $student === $owner) {
                if (isset($after[$at - 1])) {
                    $after[$at] = $after[$at - 1];
                }
            } elseif ($state === null) {
                [$one, $none] = [$fromNothing, $fromOther];
            } elseif ($lasts[$at] >= $day) {
                $one = $none = $model->read($next - $lasts[$at], $state->stability);
            } else {
                $after[$at] = $model->later($state, $day - $lasts[$at], $this->practice, $student->trust);
                $one = $model->read($ahead, $after[$at]->stability);
                $none = $other === null
                    ? $model->read($next - $lasts[$at], $state->stability)
                    : $model->read($ahead, $model->later($state, $day - $lasts[$at], $other, $student->trust)->stability);
                $this->updates += $other === null ? 1 : 2;
            }
            [$before, $owner] = [$state, $student];
            $sum += $student->comes * ($one - $none);
            $with += $one;
            $without += $none;
            $own = $own + $one - $none;
        }
        $byStudent[$student->id] = $own;
        $this->practised[$position] = $after;
        if ($other === null) {
            $this->means[$position][$next] = $without / $this->count;
        }

        return new EntryGain($this->allCome > 0.0 ? $sum / $this->allCome : 0.0, $with / $this->count, $without / $this->count, $byStudent);
    }

    /** Mean recall over the class; who has never met the entry counts as 0. */
    public function meanRecall(int $position, int $day): float
    {
        return $this->means[$position][$day] ??= $this->meanOf($position, $day);
    }

    private function meanOf(int $position, int $day): float
    {
        $sum = $recall = 0.0;
        $before = null;
        $lasts = $this->lasts[$position] ?? [];
        foreach ($this->states[$position] ?? [] as $at => $state) {
            if ($state !== $before) {
                [$before, $recall] = [$state, $this->model->read(max(0, $day - $lasts[$at]), $state->stability)];
            }
            $sum += $recall;
        }

        return $sum / $this->count;
    }

    /**
     * How much of some entries each student should recall: the sum over them, averaged over their copies.
     *
     * @param  list<int>  $positions
     * @return array<string, float> by student
     */
    public function expected(array $positions, int $day): array
    {
        $sums = $copies = [];
        foreach ($this->students as $at => $student) {
            $copies[$student->id] = ($copies[$student->id] ?? 0) + 1;
            $sums[$student->id] ??= 0.0;
            foreach ($positions as $position) {
                $state = $this->states[$position][$at] ?? null;
                $sums[$student->id] += $state === null ? 0.0 : $this->model->read(max(0, $day - $this->lasts[$position][$at]), $state->stability);
            }
        }

        foreach ($copies as $student => $count) {
            $sums[$student] /= $count;
        }

        return $sums;
    }

    /**
     * The share of the class that has met every one of some entries, and their mean recall of them, read after so many days
     * at most.
     *
     * @param  non-empty-list<int>  $positions
     * @return array{float, float}
     */
    public function met(array $positions, int $day, int $mostDays): array
    {
        $met = 0;
        $sum = 0.0;
        for ($at = 0; $at < $this->count; $at++) {
            $own = 0.0;
            foreach ($positions as $position) {
                $state = $this->states[$position][$at] ?? null;
                if ($state === null) {
                    continue 2;
                }
                $own += $this->model->read(max(0, min($mostDays, $day - $this->lasts[$position][$at])), $state->stability);
            }
            $met++;
            $sum += $own / count($positions);
        }

        return [$met / $this->count, $met === 0 ? 0.0 : $sum / $met];
    }
}
