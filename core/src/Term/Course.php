<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Lesson\SideStretches;

/**
 * One form as one group learns it in one term: what of it, how it goes round, its share of the minutes, how large its
 * lessons are, its own pins, and the showing it must hold at (engine 1, 4, 9).
 */
final readonly class Course
{
    /**
     * Of the median meeting, what new work takes; with the minutes of a unit of load it gives the load of an evening. It is half of the
     * middle of a meeting that has a focus, and less than half of one that has none.
     */
    private const NEW_SHARE = 0.31;

    /** Minutes of a meeting where a term has none yet. */
    private const USUAL_MEETING = 60;

    public const MOST_RESERVE = 4;

    /**
     * @param  float  $share  of the minutes for review, new work and run-through, more than 0 and at most 1
     * @param  LessonSize  $size  of its lessons, where the teacher says it
     * @param  array<string, CutPin|null>  $pins  by the id of the entry before the join, instead of the form's own
     * @param  int|null  $rhythm  lessons in a row, at most; 0 for as many as come; null for the approach's own
     * @param  array<string, LearnedPace>  $paces  by round, the name of a {@see LessonKind}; the approach's own where there is none
     * @param  float|null  $gate  mean recall of the last lesson from which the next is given; null for the approach's own
     * @param  SaidPace|null  $said  the pace the teacher says; it stands before what was learned
     * @param  CoursePace|null  $pace  what that comes to in its term ({@see paced()}); null where no term is known
     * @param  bool|null  $spread  lessons lie evenly over the evenings; null to leave it to the plan
     * @param  int  $reserve  meetings before a showing that bring nothing new, 0 to 4
     * @param  bool  $looksBack  the last meeting of a term of six or more brings nothing new
     * @param  string|null  $fallenOut  the day of a showing that falls out, for its meeting does
     * @param  bool  $takesLessons  the form's own lessons are this course's, as they are
     * @param  list<list<string>>  $keeps  passages that are kept alive, by entry; a course that has some has no lessons
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
        public ?SaidPace $said = null,
        public ?CoursePace $pace = null,
        public ?bool $spread = null,
        public int $reserve = 1,
        public bool $looksBack = true,
        public array $keeps = [],
        public ?string $fallenOut = null,
        public bool $takesLessons = false,
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

    public function keepsAlive(): bool
    {
        return $this->keeps !== [];
    }

    /** Minutes one unit of load takes this group in a round: as said, as learned, or as is usual for the approach. */
    public function minutesPerLoad(LessonKind $kind = LessonKind::Fresh): float
    {
        $usual = $this->approach->minutesPerLoad($kind);
        $said = $this->pace?->isSaid === true ? $this->pace->minutes : $this->said()?->minutes;

        return $said !== null
            ? $said * $usual / $this->approach->minutesPerLoad($this->approach->mainRound())
            // What was learned in one approach says of another how much longer than usual this group takes.
            : $usual * (($this->paces[$kind->value] ?? null)?->ofUsual() ?? 1.0);
    }

    /** The pace that was said: of the course, or on the workbench beside the size of its lessons. */
    public function said(): ?SaidPace
    {
        return $this->said ?? SaidPace::ofSize($this->size);
    }

    /**
     * Minutes of new work of a usual evening, not rounded: half of what its middle has, where that is less than usual.
     *
     * @param  list<int>  $minutes  of the term's meetings
     */
    public function newMinutes(array $minutes, ?RunningOrder $order = null): float
    {
        $minutes = $minutes === [] ? [self::USUAL_MEETING] : $minutes;
        $usual = self::NEW_SHARE * self::median($minutes);
        $middle = $order === null ? null : self::median(array_map(static fn (int $one): float => $order->middleOf($one), $minutes));

        return ($middle === null ? $usual : min($usual, $middle / 2)) * $this->share;
    }

    /**
     * The same with what its pace comes to in a term. Pure.
     *
     * @param  list<int>  $minutes  of the term's meetings
     * @param  list<int>  $learned  positions the group was taught before this course
     */
    public function paced(array $minutes, array $learned = [], ?RunningOrder $order = null, LoadModel $loads = new LoadModel): self
    {
        $load = 0.0;
        $movements = 0;
        foreach ($loads->of($this->form, $this->target, $learned) as $one) {
            if ($this->target->from <= $one->position && $one->position <= $this->target->to) {
                $load += $one->load;
                $movements += (int) ($this->form->at($one->position)->kind === EntryKind::Movement);
            }
        }
        $bare = $this->with(['pace' => null, 'said' => null, 'size' => new LessonSize]);
        $usual = $bare->minutesPerLoad($this->approach->mainRound());
        $asked = $this->size->count !== null ? $load / $this->size->count : $this->size->target($this->said()->minutes ?? $usual);

        return $this->with(['pace' => CoursePace::of($this->said(), $this->newMinutes($minutes, $order), $load, $movements, $usual, $asked > 0.0 ? $asked : null)]);
    }

    /** Whole minutes a lesson takes, rounded up (engine 8). Pure. */
    public function minutesFor(float $load, LessonKind $kind = LessonKind::Fresh): int
    {
        return MeetingBoxes::roundedUp($load * $this->minutesPerLoad($kind));
    }

    /** Lessons in a row, at most, before a meeting that brings nothing new; as many as come where no rhythm is asked for. */
    public function lessonsInARow(): int
    {
        return match ($this->rhythm ?? $this->approach->rhythm()) {
            0 => PHP_INT_MAX,
            default => $this->rhythm ?? $this->approach->rhythm(),
        };
    }

    /** The mean recall of the last lesson from which the next one is given. */
    public function gate(): float
    {
        return $this->gate ?? $this->approach->gate();
    }

    /** The same, where the day of its showing falls out: a cancelled evening takes its showing with it. Pure. */
    public function withoutShowing(): self
    {
        return $this->showing === null ? $this : $this->with(['showing' => null, 'fallenOut' => $this->showing->on]);
    }

    /** The passage that must hold at the showing: from the start of the form to its end, null where there is no showing. */
    public function showingPassage(): ?Passage
    {
        $to = $this->showing === null ? null : $this->form->positionOf($this->showing->to);

        return $to === null ? null : new Passage($to < $this->target->from ? 1 : $this->target->from, $to);
    }

    /**
     * The course's lessons: its form's own where it takes them, else a cut of its own.
     *
     * @param  list<int>  $minutes  of the term's meetings
     * @param  list<int>  $learned  positions the group was taught before this course
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function cut(LessonCutter $cutter, array $minutes, array $learned): LessonCut
    {
        $cutter = $cutter->weighing($this->size->lambda);
        if ($this->approach === Approach::WholeSet) {
            return $cutter->kept($this->form, $this->scope($learned), array_map($this->form->idsOf(...), $this->pieces()));
        }
        $taken = $this->taken();
        if ($taken !== []) {
            return $cutter->kept($this->form, $this->scope($learned), OwnLessons::kept($this->form, $taken), (int) array_key_first($taken));
        }
        $pace = ($this->pace === null ? $this->paced($minutes, $learned) : $this)->pace;

        return $cutter->cut($this->form, $this->size->count !== null ? null : $pace?->load, $this->size->count, $this->scope($learned));
    }

    /**
     * The lessons of its form that it takes, by number; with two sides to be joined they are cut there as well.
     *
     * @return array<int, Passage> none where it takes none
     */
    public function taken(): array
    {
        if (! $this->takesLessons || $this->keepsAlive() || $this->approach === Approach::WholeSet) {
            return [];
        }
        $lessons = OwnLessons::within($this->form, $this->target);

        return $this->approach === Approach::SidesThenJoined ? OwnLessons::parted($lessons, array_keys(array_filter(SideStretches::cuts($this->form, $this->target), static fn (?CutPin $pin): bool => $pin === CutPin::Always))) : $lessons;
    }

    /**
     * The pieces of a set that is practised whole: one movement each with the unnumbered entries after it; those before the
     * first go with the first.
     *
     * @return list<Passage>
     */
    public function pieces(): array
    {
        $starts = array_values(array_filter($this->target->positions(), fn (int $position): bool => $this->form->at($position)->kind === EntryKind::Movement));
        $pieces = [];
        foreach ($starts === [] ? [$this->target->from] : $starts as $n => $start) {
            $pieces[] = new Passage($n === 0 ? $this->target->from : $start, ($starts[$n + 1] ?? $this->target->to + 1) - 1);
        }

        return $pieces;
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

    /** @param  non-empty-list<int>|non-empty-list<float>  $minutes */
    private static function median(array $minutes): float
    {
        sort($minutes);
        $half = intdiv(count($minutes), 2);

        return count($minutes) % 2 === 1 ? (float) $minutes[$half] : ($minutes[$half - 1] + $minutes[$half]) / 2;
    }
}
