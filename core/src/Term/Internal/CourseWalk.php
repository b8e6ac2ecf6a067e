<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\RecapFinder;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\Forecast;
use Gorvan\Core\Term\LessonKind;
use Gorvan\Core\Term\PaceSentence;
use Gorvan\Core\Term\ShowingForecast;

/**
 * One course while a term is walked through: what is taught by now, which lessons are left, what everyone remembers.
 *
 * @internal
 */
final class CourseWalk
{
    /** Load an evening takes of a first, rough round. */
    public const MOST_ROUGH = 10.0;

    /** What comes beside other lessons keeps the evening within so many times its load. */
    private const MOST_BESIDE = 1.25;

    /** What is left of a lesson under so much of an evening's load shares with the next. */
    private const SHARES_UNDER = 0.5;

    /** An entry that takes longer has its own time, and a run-through steps over it. Seconds. */
    public const LONG_SECONDS = 120.0;

    private const WEAKEST = 3;

    private const TOLERANCE = 1e-9;

    /** @var array<int, true> positions taught by now, extras not among them */
    private array $taught;

    /** @var list<QueuedLesson> */
    private array $queue;

    /** @var list<QueuedLesson> what was to be given when the plan was begun */
    private readonly array $all;

    /** @var list<Passage> what was given since a meeting that joined what was taught */
    private array $row;

    private int $inARow;

    private ?Passage $last;

    private ?int $lastNumber = null;

    private bool $hasBegun = false;

    private bool $wasHeldBack;

    private float $given;

    /** How many evenings in a row brought nothing new, while something is known. */
    private int $polished = 0;

    /** Lessons of which everything is taught. */
    private int $lessonsTaught;

    /** @var array<string, int> parts of a lesson that were given, by round and number */
    private array $parts = [];

    /** @var array<int, true> reviewed at the course's last meeting */
    private array $reviewed = [];

    /** The day on which the last lesson was given. */
    private ?int $lastLessonDay = null;

    /** @var array<int, true> */
    private array $low = [];

    /** @var array<string, int> */
    private array $minutes = ['review' => 0, 'new' => 0, 'run_through' => 0];

    private ?ShowingForecast $showing = null;

    public readonly SimulatedClass $class;

    public readonly RunTime $time;

    private readonly RecapFinder $recaps;

    private readonly Evidence $ranThrough;

    private readonly LessonGate $gate;

    public function __construct(string $seed, public readonly CourseOutset $outset, public readonly TermCalendar $calendar)
    {
        $this->taught = array_fill_keys(array_filter($outset->taught, $this->counts(...)), true);
        $this->all = $this->queue = LessonQueue::of($outset);
        $this->gate = new LessonGate($outset, $calendar, $this->queue);
        $this->inARow = $outset->inARow;
        $this->row = $outset->row;
        $this->last = $outset->lastLesson;
        $this->given = $outset->given;
        $this->wasHeldBack = $outset->heldBack;
        $this->class = new SimulatedClass($seed, $outset->students, new MemoryModel($outset->reading));
        $this->time = new RunTime($outset->course->form);
        $this->recaps = new RecapFinder($outset->course->form, $outset->cut->joins);
        $this->ranThrough = Evidence::ranThrough();
        $this->lessonsTaught = count($outset->cut->lessons) - count($this->left());
        foreach ($this->queue as $lesson) {
            if ($lesson->isPart && $this->isBegun($lesson)) {
                $this->parts["{$lesson->kind->value} $lesson->number"] = 1;
            }
        }
    }

    public function decide(int $at): Decision
    {
        return $this->gate->decide($at, $this->queue, $this->taught !== [], $this->inARow, $this->given, $this->polished, $this->wasHeldBack, fn (): ?array => $this->lastLesson($this->calendar->days[$at]));
    }

    /**
     * The lessons of an evening that gives some: the next one, or as much of it as its minutes allow; then whole further ones while
     * each brings the evening nearer to its load (engine 8).
     *
     * @param  int  $most  minutes for new work
     * @return non-empty-list<QueuedLesson>
     */
    public function lessons(int $at, QueuedLesson $first, int $most): array
    {
        $course = $this->outset->course;
        if ($course->approach === Approach::WholeSet) {
            return [$first]; // a piece is worked on whole, and review gives way
        }
        [$given, $rest] = LessonQueue::parted($this->outset, $first, $this->loadIn($most, $first->kind));
        if ($rest !== null) {
            return [$given];
        }
        $lessons = [$given];
        $load = $given->load;
        $target = $first->kind === LessonKind::Rough ? self::MOST_ROUGH : $this->outset->evening();
        $sharesAnyway = $first->isPart && $this->isBegun($first) && $load < self::SHARES_UNDER * $target - self::TOLERANCE;
        $ahead = $this->gate->pinAhead($at);
        $isPinned = isset($this->calendar->meetings[$at]->pins->lessons[$course->id]);
        foreach (array_slice($this->queue, 1) as $next) {
            $sum = $load + $next->load;
            $isNearer = $first->kind === LessonKind::Rough
                ? $sum <= self::MOST_ROUGH + self::TOLERANCE
                : abs($sum - $target) < abs($load - $target) - self::TOLERANCE && $sum <= self::MOST_BESIDE * $target + self::TOLERANCE;
            if ($next->kind !== $first->kind || $isPinned || $this->inARow + count($lessons) >= $course->lessonsInARow()
                || ($ahead !== null && $next->number >= $ahead[1]) || ! ($isNearer || $sharesAnyway)) {
                break;
            }
            $fits = $this->minutesFor($sum, $first->kind) <= $most;
            if ($fits) {
                $lessons[] = $next;
            } elseif ($sharesAnyway) {
                $lessons[] = LessonQueue::parted($this->outset, $next, $this->loadIn($most, $first->kind) - $load)[0];
            }
            if (! $fits || $sharesAnyway) {
                break;
            }
            $load = $sum;
        }

        return $lessons;
    }

    /**
     * Whole minutes of new work.
     *
     * @param  list<QueuedLesson>  $lessons
     */
    public function minutesOf(array $lessons): int
    {
        return $lessons === [] ? 0 : $this->minutesFor(array_sum(array_map(static fn (QueuedLesson $lesson): float => $lesson->load, $lessons)), $lessons[0]->kind);
    }

    private function minutesFor(float $load, LessonKind $kind): int
    {
        return $this->outset->course->minutesFor($load, $kind);
    }

    /** The load that some minutes take in. */
    private function loadIn(int $minutes, LessonKind $kind): float
    {
        return $minutes / $this->outset->course->minutesPerLoad($kind);
    }

    /** What leads into a lesson, as far as the group was taught it; a lesson that nothing taught stands before has none. */
    public function recap(?QueuedLesson $lesson): ?Passage
    {
        $known = $lesson === null ? [] : array_values(array_filter(
            $this->recaps->before($lesson->passage->from)?->positions() ?? [],
            fn (int $position): bool => isset($this->taught[$position]),
        ));

        return $known === [] ? null : new Passage($known[0], $known[count($known) - 1]);
    }

    /**
     * The recap of the lesson that comes next once some are given: what a review tonight prepares.
     *
     * @param  list<QueuedLesson>  $tonight
     */
    public function nextRecap(array $tonight): ?Passage
    {
        $last = $tonight === [] ? null : $tonight[count($tonight) - 1];
        foreach ($this->queue as $lesson) {
            if ($last === null || ($lesson->passage->from > $last->passage->to && $lesson->kind === $last->kind) || ($lesson->kind !== $last->kind && $lesson->number <= $last->number)) {
                return $this->recap($lesson);
            }
        }

        return null;
    }

    /** What a meeting joins that brings nothing new: the lessons since the last that joined, where sides are taught one by one. */
    public function joined(): ?Passage
    {
        if ($this->outset->course->approach !== Approach::SidesThenJoined || count($this->row) < 2) {
            return null;
        }
        $froms = array_map(static fn (Passage $passage): int => $passage->from, $this->row);
        $tos = array_map(static fn (Passage $passage): int => $passage->to, $this->row);

        return new Passage(min($froms), max($tos));
    }

    /**
     * From the start of the section in which tonight's first lesson stands (of the last entry taught, where none is given), or as
     * far back from its end as some seconds allow; all of tonight's lessons are in it, and what takes long is stepped over.
     *
     * @param  list<QueuedLesson>  $lessons
     * @param  bool  $beyond  go on past the start of the section
     */
    public function runThrough(array $lessons, float $seconds, bool $beyond = false): ?Passage
    {
        $tonight = [];
        foreach ($lessons as $lesson) {
            $tonight += array_fill_keys($lesson->passage->positions(), true);
        }
        if ($tonight === [] && $this->taught === []) {
            return null;
        }
        $to = max(array_keys($tonight === [] ? $this->taught : $tonight));
        $least = $tonight === [] ? $to : min(array_keys($tonight));
        $start = $beyond ? 1 : $this->outset->course->form->sectionOf($least)->first ?? 1;
        if ($tonight !== [] && $start === $least && $least > 1) {
            // Where a section begins tonight, what was before it leads in.
            $start = $this->outset->course->form->sectionOf($least - 1)->first ?? 1;
        }
        $from = $to;
        $spent = $this->runSeconds($to);
        while ($from > $start && (! $this->counts($from - 1) || isset($this->taught[$from - 1]) || isset($tonight[$from - 1]))) {
            $spent += $this->runSeconds($from - 1);
            if ($spent > $seconds + self::TOLERANCE) {
                break;
            }
            $from--;
        }

        return new Passage($from, $to);
    }

    /**
     * Of a form that is kept alive a section comes in its turn, as far as some seconds allow.
     *
     * @param  int  $turn  which turn it is, from 0
     */
    public function keptInTurn(int $turn, float $seconds): ?Passage
    {
        $sections = [];
        foreach ($this->reviewed() as $position) {
            $sections[$this->outset->course->form->sectionOf($position)->first ?? 0][] = $position;
        }
        $own = $sections === [] ? [] : array_values($sections)[$turn % count($sections)];
        $to = null;
        $spent = 0.0;
        foreach ($own as $position) {
            $spent += $this->runSeconds($position);
            if ($to !== null && $spent > $seconds + self::TOLERANCE) {
                break;
            }
            $to = $position;
        }

        return $to === null ? null : new Passage($own[0], $to);
    }

    /** Seconds of going through a passage once in motion, or 0; long entries have their own time. */
    public function secondsOf(?Passage $passage): float
    {
        return $passage === null ? 0.0 : array_sum(array_map($this->runSeconds(...), $passage->positions()));
    }

    /** Seconds of a passage at class pace, long entries included. */
    public function secondsWith(?Passage $passage): float
    {
        return $passage === null ? 0.0 : $this->time->secondsBetween($passage->from, $passage->to);
    }

    /** @return list<int> what of a run-through is gone through in motion */
    public function inMotion(?Passage $passage): array
    {
        return $passage === null ? [] : array_values(array_filter($this->counted($passage), fn (int $position): bool => ! $this->isLong($position)));
    }

    public function isLong(int $position): bool
    {
        return ($this->time->secondsOf($position) ?? 0.0) > self::LONG_SECONDS;
    }

    private function runSeconds(int $position): float
    {
        return $this->isLong($position) ? 0.0 : $this->time->secondsOf($position) ?? 0.0;
    }

    public function hasTaught(): bool
    {
        return $this->taught !== [];
    }

    /** Lessons of which everything is taught. */
    public function lessonsTaught(): int
    {
        return $this->lessonsTaught;
    }

    /** Evenings in a row, before this one, that brought nothing new. */
    public function polished(): int
    {
        return $this->polished;
    }

    /** @return list<int> */
    public function taught(): array
    {
        return array_keys($this->taught);
    }

    public function isTaught(int $position): bool
    {
        return isset($this->taught[$position]);
    }

    public function wasReviewed(int $position): bool
    {
        return isset($this->reviewed[$position]);
    }

    /**
     * What is gone through of a course: what is kept alive of it, or all that is taught.
     *
     * @return list<int>
     */
    public function reviewed(): array
    {
        return $this->outset->course->keepsAlive() ? array_values(array_filter($this->kept(), $this->isTaught(...))) : array_keys($this->taught);
    }

    /** @return list<int> positions that are kept alive */
    public function kept(): array
    {
        $positions = array_merge([], ...array_map($this->outset->course->form->positionsOf(...), $this->outset->course->keeps));
        sort($positions);

        return array_values(array_unique(array_filter($positions, $this->counts(...))));
    }

    /**
     * What the last class said to begin with, as far as it was taught: asked for once, by the first meeting that is planned.
     * What was not taught yet stands first among the lessons.
     *
     * @return list<Passage>
     */
    public function firstNext(): array
    {
        $wanted = array_values(array_filter($this->hasBegun ? [] : $this->outset->firstNext, $this->isTaught(...)));
        $this->hasBegun = true;

        return Passage::covering($wanted);
    }

    /** What a day finds before anything is done on it: which entries are low, and how a showing stands, if this is its day. */
    public function look(int $day): void
    {
        $showing = $this->outset->course->showing;
        if ($showing !== null && $this->showing === null && $day >= Day::number($showing->on)) {
            $this->showing = $this->showingOn(Day::number($showing->on));
        }
        foreach ($this->taught as $position => $_) {
            if (! isset($this->low[$position]) && $this->class->meanRecall($position, $day) < CourseForecast::LOW_RECALL) {
                $this->low[$position] = true;
            }
        }
    }

    /** Which part of its lesson a lesson is, from 1; null where it is all of it. Asked for in the order in which they are given. */
    public function partOf(QueuedLesson $lesson): ?int
    {
        return $lesson->isPart ? $this->parts["{$lesson->kind->value} $lesson->number"] = 1 + ($this->parts["{$lesson->kind->value} $lesson->number"] ?? 0) : null;
    }

    /** Lets a meeting happen to the simulated class, and says what should be left of it on the next meeting's day. */
    public function held(CourseEvening $evening, int $day, int $next, string $date): Forecast
    {
        $present = $this->class->present($date);
        $taughtTonight = Evidence::taught();
        foreach ($evening->lessons as $lesson) {
            foreach ($this->counted($lesson->passage) as $position) {
                $this->class->contact($position, $day, $taughtTonight, $present);
                $this->taught[$position] = true;
            }
            $this->last = $lesson->passage;
            $this->lastNumber = $lesson->number;
            $this->given += $lesson->load;
            $this->queue = $this->without($lesson);
        }
        if ($evening->lessons !== []) {
            ksort($this->taught);
            $this->lessonsTaught = count($this->outset->cut->lessons) - count($this->left());
            $this->lastLessonDay = $this->queue === [] ? $day : null;
        }
        if ($evening->isOwn) {
            $this->goOn($evening);
        }
        foreach ($evening->practised as $passage) {
            foreach ($this->counted($passage) as $position) {
                $this->class->contact($position, $day, $this->class->practice(), $present);
            }
        }
        foreach ($evening->runThrough as $position) {
            // What is only followed along is exposure, and makes no memory (engine 6).
            if (isset($this->taught[$position])) {
                $this->class->contact($position, $day, $this->ranThrough, $present);
            }
        }
        $this->minutes['review'] += $evening->minutes->review;
        $this->minutes['new'] += $evening->minutes->new;
        $this->minutes['run_through'] += $evening->minutes->runThrough;
        $recalls = array_map(fn (int $position): float => $this->class->meanRecall($position, $next), array_keys($this->taught));

        $movements = count(array_filter(array_keys($this->taught), fn (int $position): bool => $this->outset->course->form->at($position)->kind === EntryKind::Movement));

        return new Forecast(count($this->taught), $recalls === [] ? null : array_sum($recalls) / count($recalls), $movements);
    }

    /** What the next evening of the course goes by. */
    private function goOn(CourseEvening $evening): void
    {
        $this->wasHeldBack = $evening->isHeldBack;
        $this->row = $evening->isJoin ? [] : [...$this->row, ...array_map(static fn (QueuedLesson $lesson): Passage => $lesson->passage, $evening->lessons)];
        $this->inARow = $evening->lessons === [] ? 0 : $this->inARow + count($evening->lessons);
        $this->polished = $evening->lessons === [] && $this->taught !== [] ? $this->polished + 1 : 0;
        $this->reviewed = array_fill_keys(array_merge([], ...array_map($this->counted(...), $evening->practised)), true);
    }

    /** @param  int  $end  the day the term is looked back at */
    public function outcome(int $end): CourseForecast
    {
        $this->look($end);

        return PaceSentence::on($this->forecastOn($end)->ended(array_keys($this->low), $this->left(), $this->undetailed(), $this->minutes, $this->lastLessonDay), $this->outset, $this->calendar, $this->all, $this->queue);
    }

    /** @return list<int> numbers of the lessons of which something is not given at all */
    public function left(): array
    {
        $course = $this->outset->course;

        return $course->keepsAlive() ? [] : array_map(static fn (Lesson $lesson): int => $lesson->number, $this->outset->cut->left($course->form, $this->taught));
    }

    /** @return list<int> numbers of the lessons of an outline whose detail is still to come */
    private function undetailed(): array
    {
        return array_values(array_unique(array_map(static fn (QueuedLesson $lesson): int => $lesson->number, array_filter($this->queue, static fn (QueuedLesson $lesson): bool => $lesson->kind === LessonKind::Detail))));
    }

    /** The day on which the last lesson was given, once none is left. */
    public function throughOn(): ?int
    {
        return $this->lastLessonDay;
    }

    /** @return list<QueuedLesson> what was not come to, of whatever round */
    public function queued(): array
    {
        return $this->queue;
    }

    /** @return list<int> the positions of a passage that count */
    public function counted(Passage $passage): array
    {
        return array_values(array_filter($passage->positions(), $this->counts(...)));
    }

    /** Mean recall of a passage on a day. */
    public function recallOf(Passage $passage, int $day): float
    {
        $positions = $this->counted($passage);

        return array_sum(array_map(fn (int $position): float => $this->class->meanRecall($position, $day), $positions)) / max(1, count($positions));
    }

    /**
     * What is left when a lesson was given; of one that was given in part, the rest.
     *
     * @return list<QueuedLesson>
     */
    private function without(QueuedLesson $lesson): array
    {
        $rest = array_slice($this->queue, 1);
        $whole = $this->queue[0];
        if ($lesson->passage->to >= $whole->passage->to) {
            return $rest;
        }
        $left = new Passage($lesson->passage->to + 1, $whole->passage->to);

        return [new QueuedLesson($whole->number, $whole->kind, $left, $this->outset->cut->loadOf($left), true), ...$rest];
    }

    /** Whether something of a lesson's number was given in its round. */
    private function isBegun(QueuedLesson $lesson): bool
    {
        $done = $lesson->kind === LessonKind::Detail ? array_fill_keys($this->outset->detailed, true) : $this->taught;
        $of = array_filter($this->outset->cut->lessons, static fn (Lesson $one): bool => $one->number === $lesson->number);
        $positions = array_merge([], ...array_map(static fn (Lesson $one): array => range($one->from, $one->to), $of));

        return isset($this->parts["{$lesson->kind->value} $lesson->number"]) || array_intersect_key($done, array_fill_keys($positions, true)) !== [];
    }

    private function forecastOn(int $day): CourseForecast
    {
        $course = $this->outset->course;
        $recalls = [];
        foreach ($this->taught as $position => $_) {
            $recalls[$position] = $this->class->meanRecall($position, $day);
        }
        $movements = array_filter($recalls, fn (int $position): bool => $course->form->at($position)->kind === EntryKind::Movement, ARRAY_FILTER_USE_KEY);
        $weakest = $movements;
        asort($weakest);

        return new CourseForecast(
            $course->id,
            $day,
            $recalls === [] ? null : max(array_keys($recalls)),
            count($movements),
            count(array_filter($movements, static fn (float $recall): bool => $recall >= CourseForecast::HOLD_RECALL)),
            array_sum($movements),
            $recalls === [] ? null : array_sum($recalls) / count($recalls),
            array_slice($weakest, 0, self::WEAKEST, true),
            [],
            [],
            $this->showing,
            [],
            far: $this->outset->students === [] ? [] : CourseForecast::far($this->class->expected(array_keys($movements), $day), count($movements)),
        );
    }

    private function showingOn(int $day): ?ShowingForecast
    {
        $passage = $this->outset->course->showingPassage();
        $positions = $passage === null ? [] : $this->counted($passage);
        if ($positions === []) {
            return null;
        }
        $shown = [];
        foreach ($positions as $position) {
            $shown[$position] = isset($this->taught[$position]) ? $this->class->meanRecall($position, $day) : 0.0;
        }
        asort($shown);

        return new ShowingForecast(array_sum($shown) / count($shown), (float) reset($shown), (int) array_key_first($shown), $day);
    }

    /** @return array{float, float, int|null}|null of those expected, who has met the last lesson; how they recall it; its number */
    private function lastLesson(int $day): ?array
    {
        $last = $this->last ?? $this->recap($this->queue[0] ?? null);
        $positions = $last === null ? [] : array_values(array_filter($this->counted($last), fn (int $position): bool => isset($this->taught[$position])));
        if ($positions === []) {
            return null;
        }
        [$met, $recall] = $this->class->met($positions, $day, LessonGate::MOST_DAYS);
        $expected = $this->class->usuallyComes();

        return [$expected > 0.0 ? $met / $expected : 1.0, $recall, $this->lastNumber ?? $this->numberOf($positions[0])];
    }

    private function numberOf(int $position): ?int
    {
        foreach ($this->outset->cut->lessons as $lesson) {
            if ($lesson->from <= $position && $position <= $lesson->to) {
                return $lesson->number;
            }
        }

        return null;
    }

    private function counts(int $position): bool
    {
        return $this->outset->course->form->at($position)->kind->countsInForm();
    }
}
