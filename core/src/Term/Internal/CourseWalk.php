<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Lesson\RecapFinder;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\Forecast;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\ShowingForecast;

/**
 * One course while a term is walked through: what is taught by now, which lessons are left, what everyone remembers.
 *
 * @internal
 */
final class CourseWalk
{
    private const WEAKEST = 3;

    /** @var array<int, true> positions taught by now, extras not among them */
    private array $taught;

    /** @var list<QueuedLesson> */
    private array $queue;

    /** @var list<QueuedLesson> given since a meeting that brought nothing new */
    private array $row = [];

    private int $inARow;

    private ?Passage $last;

    private ?int $lastNumber = null;

    private bool $hasBegun = false;

    /** @var array<int, true> */
    private array $low = [];

    /** @var array<string, int> */
    private array $minutes = ['review' => 0, 'new' => 0, 'run_through' => 0];

    private ?CourseForecast $forecast = null;

    public readonly SimulatedClass $class;

    public readonly RunTime $time;

    private readonly RecapFinder $recaps;

    private readonly Evidence $ranThrough;

    /** @param  int|null  $firstRound  see {@see LessonQueue} */
    public function __construct(string $seed, public readonly CourseOutset $outset, ?int $firstRound = null)
    {
        $this->taught = array_fill_keys(array_filter($outset->taught, $this->counts(...)), true);
        $this->queue = LessonQueue::of($outset, $firstRound);
        $this->inARow = $outset->inARow;
        $this->last = $outset->lastLesson;
        $this->class = new SimulatedClass($seed, $outset->students, new MemoryModel($outset->reading));
        $this->time = new RunTime($outset->course->form);
        $this->recaps = new RecapFinder($outset->course->form, $outset->cut->joins);
        $this->ranThrough = Evidence::ranThrough();
    }

    public function decide(int $at, TermCalendar $calendar, int $middle): Decision
    {
        return (new LessonGate($this->outset, $calendar))->decide($at, $this->queue, $this->inARow, $middle, fn (): ?array => $this->lastLesson($calendar->days[$at]));
    }

    /**
     * The lesson after the next one, if what is left of the meeting takes it as well (engine 8).
     *
     * @param  int  $spare  minutes review does not need
     * @param  int  $middle  the course's minutes for review, new work and run-through
     */
    public function second(QueuedLesson $first, int $at, TermCalendar $calendar, int $spare, int $middle): ?QueuedLesson
    {
        $next = $this->queue[1] ?? null;
        $ahead = (new LessonGate($this->outset, $calendar))->pinAhead($at);
        $course = $this->outset->course;
        $cap = max(self::MOST_NEW * $course->share, 2 * $this->outset->cut->target);
        $mayCome = $next !== null
            && $next->kind === $first->kind
            && $first->load + $next->load <= $cap + 1e-9
            && $next->minutes <= $spare
            && $first->minutes + $next->minutes <= $middle - MeetingBoxes::keptForReview($middle)
            && $this->inARow + 1 < $course->lessonsInARow()
            && ($ahead === null || $next->number < $ahead[1])
            && ! isset($calendar->meetings[$at]->pins->lessons[$course->id])
            && $first->passage->to === $this->queue[0]->passage->to
            && $this->class->usuallyComes() >= LessonGate::LEAST_MET;

        return $mayCome ? $next : null;
    }

    /** Units of new load a meeting takes, at most, of a course that has all of it. */
    private const MOST_NEW = 5.0;

    /** What leads into a lesson, as far as the group was taught it; a lesson that nothing taught stands before has none. */
    public function recap(?QueuedLesson $lesson): ?Passage
    {
        $known = $lesson === null ? [] : array_values(array_filter(
            $this->recaps->before($lesson->passage->from)?->positions() ?? [],
            fn (int $position): bool => isset($this->taught[$position]),
        ));

        return $known === [] ? null : new Passage($known[0], $known[count($known) - 1]);
    }

    /** The recap of the lesson after this one, or of the next one where none is given: what a review tonight prepares. */
    public function nextRecap(?QueuedLesson $tonight): ?Passage
    {
        return $this->recap($this->queue[$tonight === null ? 0 : 1] ?? null);
    }

    /** What a meeting joins that brings nothing new: the lessons since the one before, where sides are taught one by one. */
    public function joined(): ?Passage
    {
        if ($this->outset->course->approach !== Approach::SidesThenJoined || count($this->row) < 2) {
            return null;
        }

        return new Passage($this->row[0]->passage->from, $this->row[count($this->row) - 1]->passage->to);
    }

    /**
     * From the start of the section of the last entry taught by then, or as far back as some seconds allow.
     *
     * @param  bool  $beyond  go on past the start of the section
     */
    public function runThrough(?QueuedLesson $lesson, float $seconds, bool $beyond = false): ?Passage
    {
        if ($lesson === null && $this->taught === []) {
            return null;
        }
        $to = $lesson->passage->to ?? max([0, ...array_keys($this->taught)]);
        $start = $beyond ? 1 : $this->outset->course->form->sectionOf($to)->first ?? 1;
        $from = $to;
        while ($from > $start && $this->time->secondsBetween($from - 1, $to) <= $seconds && $this->isKnown($from - 1, $lesson)) {
            $from--;
        }

        return new Passage($from, $to);
    }

    public function hasTaught(): bool
    {
        return $this->taught !== [];
    }

    /** @return list<int> */
    public function taught(): array
    {
        return array_keys($this->taught);
    }

    /**
     * What the last class said to begin with, as far as it was taught: asked for once, by the first meeting that is planned.
     * What was not taught yet stands first among the lessons.
     *
     * @return list<Passage>
     */
    public function firstNext(): array
    {
        $runs = [];
        foreach ($this->hasBegun ? [] : $this->outset->firstNext as $position) {
            if (! isset($this->taught[$position])) {
                continue;
            }
            $last = array_key_last($runs);
            if ($last !== null && $runs[$last]->to === $position - 1) {
                $runs[$last] = new Passage($runs[$last]->from, $position);
            } else {
                $runs[] = new Passage($position, $position);
            }
        }
        $this->hasBegun = true;

        return $runs;
    }

    /** What a day finds before anything is done on it: which entries are low, and the forecast, if this is its day. */
    public function look(int $day): void
    {
        $showing = $this->outset->course->showing;
        if ($showing !== null && $this->forecast === null && $day >= Day::number($showing->on)) {
            $this->forecast = $this->forecastOn(Day::number($showing->on));
        }
        foreach ($this->taught as $position => $_) {
            if (! isset($this->low[$position]) && $this->class->meanRecall($position, $day) < CourseForecast::LOW_RECALL) {
                $this->low[$position] = true;
            }
        }
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
            $this->queue = $this->without($lesson);
        }
        ksort($this->taught);
        $this->row = $evening->lessons === [] ? [] : [...$this->row, ...$evening->lessons];
        $this->inARow = $evening->lessons === [] ? 0 : $this->inARow + count($evening->lessons);
        foreach ($evening->practised() as $passage) {
            foreach ($this->counted($passage) as $position) {
                $this->class->contact($position, $day, $this->class->practice(), $present);
            }
        }
        foreach ($evening->runThrough === null ? [] : $this->counted($evening->runThrough) as $position) {
            $this->class->contact($position, $day, $this->ranThrough, $present);
        }
        foreach ($evening->minutes as $box => $minutes) {
            $this->minutes[$box] += $minutes;
        }
        $recalls = array_map(fn (int $position): float => $this->class->meanRecall($position, $next), array_keys($this->taught));

        return new Forecast(count($this->taught), $recalls === [] ? null : array_sum($recalls) / count($recalls));
    }

    /** @param  int  $end  the day the term is looked back at */
    public function outcome(int $end): CourseForecast
    {
        $this->look($end);

        $at = $this->forecast ?? $this->forecastOn($end);

        return new CourseForecast($at->course, $at->day, $at->reach, $at->movements, $at->holds, $at->expected, $at->mean, $at->weakest, array_keys($this->low), $this->left(), $at->showing, $this->minutes);
    }

    /** @return list<int> numbers of the lessons that are not given at all */
    public function left(): array
    {
        $fresh = array_filter(
            $this->outset->cut->lessons,
            fn ($lesson): bool => array_filter($this->counted(new Passage($lesson->from, $lesson->to)), fn (int $position): bool => ! isset($this->taught[$position])) !== [],
        );

        return array_map(static fn (int $at): int => $at + 1, array_keys($fresh));
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

    /**
     * What is left when a lesson was given; of one that was given in part, the rest.
     *
     * @return list<QueuedLesson>
     */
    private function without(QueuedLesson $lesson): array
    {
        $rest = array_slice($this->queue, 1);
        [, $left] = $lesson->passage->to < $this->queue[0]->passage->to ? LessonQueue::parted($this->outset, $this->queue[0], $lesson->minutes) : [null, null];

        return $left === null ? $rest : [$left, ...$rest];
    }

    private function isKnown(int $position, ?QueuedLesson $lesson): bool
    {
        return ! $this->counts($position) || isset($this->taught[$position]) || ($lesson !== null && $lesson->passage->from <= $position && $position <= $lesson->passage->to);
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
            $this->showingOn($day, $recalls),
            [],
        );
    }

    /** @param  array<int, float>  $recalls */
    private function showingOn(int $day, array $recalls): ?ShowingForecast
    {
        $passage = $this->outset->course->showingPassage();
        $positions = $passage === null ? [] : $this->counted($passage);
        if ($positions === []) {
            return null;
        }
        $shown = [];
        foreach ($positions as $position) {
            $shown[$position] = $recalls[$position] ?? 0.0;
        }
        asort($shown);

        return new ShowingForecast(array_sum($shown) / count($shown), (float) reset($shown), (int) array_key_first($shown));
    }

    /** @return array{float, float, int|null}|null */
    private function lastLesson(int $day): ?array
    {
        $last = $this->last ?? $this->recap($this->queue[0] ?? null);
        $positions = $last === null ? [] : array_values(array_filter($this->counted($last), fn (int $position): bool => isset($this->taught[$position])));

        return $positions === [] ? null : [...$this->class->met($positions, $day, LessonGate::MOST_DAYS), $this->lastNumber ?? $this->numberOf($positions[0])];
    }

    private function numberOf(int $position): ?int
    {
        foreach ($this->outset->cut->lessons as $at => $lesson) {
            if ($lesson->from <= $position && $position <= $lesson->to) {
                return $at + 1;
            }
        }

        return null;
    }

    private function counts(int $position): bool
    {
        return $this->outset->course->form->at($position)->kind->countsInForm();
    }
}
