<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Lesson\SideStretches;

/**
 * One form as one group learns it in one term: what of it, how it goes round, its share of the minutes, how large its
 * lessons are, its own pins, and the showing it must hold at (engine 1, 4, 9).
 */
final readonly class Course
{
    /** Of the median meeting, what new work takes; with the minutes of a unit of load it gives the load of a lesson. */
    private const NEW_SHARE = 0.31;

    /** A fifth of the course's box stays for review. */
    private const MIDDLE_SHARE = 0.8;

    /** People tire of newness. */
    private const LEAST_LOAD = 1.0;

    private const MOST_LOAD = 5.0;

    /**
     * @param  float  $share  of the minutes for review, new work and run-through, more than 0 and at most 1
     * @param  LessonSize  $size  of its lessons, where the teacher says it
     * @param  array<string, CutPin|null>  $pins  by the id of the entry before the join, instead of the form's own
     * @param  int|null  $rhythm  lessons in a row, at most; 0 for as many as come; null for the approach's own
     * @param  array<string, LearnedPace>  $paces  by round, the name of a {@see LessonKind}; the approach's own where there is none
     * @param  float|null  $gate  mean recall of the last lesson from which the next is given; null for the approach's own
     */
    public function __construct(
        public string $id,
        public Form $form,
        public Passage $target,
        public Approach $approach,
        public float $share = 1.0,
        public LessonSize $size = new LessonSize,
        public array $pins = [],
        public ?Showing $showing = null,
        public ?int $rhythm = null,
        public ?float $gate = null,
        public array $paces = [],
    ) {
    }

    /**
     * The same with some properties changed. Pure.
     *
     * @param  array<string, mixed>  $changes  by the names of the properties
     */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]); // @phpstan-ignore argument.type
    }

    /** Minutes one unit of load takes this group in a round. */
    public function minutesPerLoad(LessonKind $kind = LessonKind::Fresh): float
    {
        // What was learned in one approach says of another how much longer than usual this group takes.
        return $this->approach->minutesPerLoad($kind) * (($this->paces[$kind->value] ?? null)?->ofUsual() ?? 1.0);
    }

    /** Whole minutes a lesson takes, rounded up (engine 8). Pure. */
    public function minutesFor(float $load, LessonKind $kind = LessonKind::Fresh): int
    {
        return MeetingBoxes::roundedUp($load * $this->minutesPerLoad($kind));
    }

    /** Lessons in a row, at most, before a meeting that brings nothing new. */
    public function lessonsInARow(): int
    {
        return match ($this->rhythm) {
            null => $this->approach->rhythm(),
            0 => PHP_INT_MAX,
            default => $this->rhythm,
        };
    }

    /** The mean recall of the last lesson from which the next one is given. */
    public function gate(): float
    {
        return $this->gate ?? $this->approach->gate();
    }

    /** The passage that must hold at the showing: from the start of the form to its end, null where there is no showing. */
    public function showingPassage(): ?Passage
    {
        $to = $this->showing === null ? null : $this->form->positionOf($this->showing->to);

        return $to === null ? null : new Passage($to < $this->target->from ? 1 : $this->target->from, $to);
    }

    /**
     * How much a lesson holds where nobody says it: what the new work of the median meeting takes in, from 1 to 5, and
     * never more than leaves review its fifth.
     *
     * @param  non-empty-list<int>  $minutes  of the term's meetings
     */
    public function targetFrom(array $minutes): float
    {
        $rate = $this->minutesPerLoad();
        $median = self::median($minutes);
        $usual = self::NEW_SHARE * $median * $this->share / $rate;

        return min(
            max(self::LEAST_LOAD, min(self::MOST_LOAD, $usual)),
            self::MIDDLE_SHARE * MeetingBoxes::middleOf((int) floor($median)) * $this->share / $rate,
        );
    }

    /**
     * The course's own cut.
     *
     * @param  non-empty-list<int>  $minutes  of the term's meetings
     * @param  list<int>  $learned  positions the group was taught before this course
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function cut(LessonCutter $cutter, array $minutes, array $learned): LessonCut
    {
        return $cutter->weighing($this->size->lambda)->cut(
            $this->form,
            $this->size->count !== null ? null : ($this->size->target($this->minutesPerLoad()) ?? $this->targetFrom($minutes)),
            $this->size->count,
            $this->scope($learned),
        );
    }

    /** @param  list<int>  $learned */
    public function scope(array $learned): CutScope
    {
        $pins = [];
        foreach ($this->pins as $entry => $pin) {
            $position = $this->form->positionOf((string) $entry);
            if ($position !== null) {
                $pins[$position] = $pin;
            }
        }
        if ($this->approach === Approach::SidesThenJoined) {
            $pins += SideStretches::cuts($this->form, $this->target);
        }

        return new CutScope($this->target, $learned, $pins);
    }

    /** @param  non-empty-list<int>  $minutes */
    private static function median(array $minutes): float
    {
        sort($minutes);
        $half = intdiv(count($minutes), 2);

        return count($minutes) % 2 === 1 ? (float) $minutes[$half] : ($minutes[$half - 1] + $minutes[$half]) / 2;
    }
}
