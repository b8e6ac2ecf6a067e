<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Lesson\RecapFinder;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\Forecast;
use Gorvan\Core\Term\LayoutCourse;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\ReviewList;

/**
 * One course while a term is walked through: what is taught by now, which lessons are left, what everyone remembers.
 *
 * @internal
 */
final class CourseWalk
{
    /** @var array<int, true> positions taught by now, extras not among them */
    private array $taught;

    /** @var list<array{int, Passage}> number in the cut, and what of that lesson is not taught yet */
    private array $left;

    private readonly SimulatedRoster $roster;

    private readonly RunTime $time;

    public function __construct(public readonly LayoutCourse $course)
    {
        $this->taught = array_fill_keys(array_filter($course->taught, $this->counts(...)), true);
        $this->left = $this->lessonsLeft();
        $this->roster = new SimulatedRoster($course->roster);
        $this->time = new RunTime($course->course->form);
    }

    /**
     * What comes next, and the minutes it asks for.
     *
     * @return array{number: int|null, lesson: Passage|null, recap: Passage|null, run_through: Passage|null, new: float, run: float}
     */
    public function next(bool $mayBeNew, int $meetingMinutes): array
    {
        [$number, $lesson] = $mayBeNew ? array_shift($this->left) ?? [null, null] : [null, null];
        $runThrough = $this->runThrough($lesson, $meetingMinutes);

        return [
            'number' => $number,
            'lesson' => $lesson,
            'recap' => $lesson === null ? null : $this->recap($lesson),
            'run_through' => $runThrough,
            'new' => $lesson === null ? 0.0 : $this->course->cut->loadOf($lesson) * $this->course->course->approach->minutesPerLoad(),
            'run' => $runThrough === null ? 0.0 : $this->time->secondsBetween($runThrough->from, $runThrough->to) / 60.0,
        ];
    }

    /** @return list<PlannedReview> */
    public function review(int $minutes, int $day): array
    {
        $recalls = [];
        foreach (array_keys($this->taught) as $position) {
            $recalls[$position] = $this->roster->meanRecall($position, $day);
        }

        return (new ReviewList($this->course->course->form))->fill($minutes, $recalls);
    }

    /**
     * Lets the meeting happen to the simulated roster, and says what should be left of it on the next meeting's day.
     *
     * @param  array{number: int|null, lesson: Passage|null, recap: Passage|null, run_through: Passage|null, new: float, run: float}  $part
     * @param  list<PlannedReview>  $review
     */
    public function held(array $part, array $review, int $day, int $next): CoursePlan
    {
        $form = $this->course->course->form;
        $lesson = $part['lesson'] === null ? [] : $form->countedIdsOf($part['lesson']);
        $this->roster->contact($form->positionsOf($lesson), $day, Evidence::taught());
        $this->taught += array_fill_keys($form->positionsOf($lesson), true);
        ksort($this->taught);
        foreach ([$form->countedIdsOf($part['recap']), ...array_map(static fn (PlannedReview $one): array => $one->entries, $review)] as $ids) {
            $this->roster->contact($form->positionsOf($ids), $day, Evidence::practised());
        }
        $this->roster->contact($form->positionsOf($form->countedIdsOf($part['run_through'])), $day, Evidence::ranThrough());
        $recalls = array_map(fn (int $position): float => $this->roster->meanRecall($position, $next), array_keys($this->taught));

        return new CoursePlan(
            $this->course->course->id,
            $part['lesson'] === null ? null : new PlannedLesson($form->idsOf($part['lesson']), number: $part['number']),
            $form->countedIdsOf($part['recap']),
            $review,
            $form->countedIdsOf($part['run_through']),
            new Forecast(count($this->taught), $recalls === [] ? null : array_sum($recalls) / count($recalls)),
        );
    }

    /** What the term does not reach. */
    public function warning(): ?Message
    {
        if ($this->left === []) {
            return null;
        }
        $form = $this->course->course->form;

        return Message::of('plan.left_over', reached: $this->left[0][1]->from - 1, entries: $form->count(), count: count($this->left));
    }

    /** @return list<array{int, Passage}> */
    private function lessonsLeft(): array
    {
        $left = [];
        foreach ($this->course->cut->lessons as $at => $lesson) {
            $open = array_filter(range($lesson->from, $lesson->to), fn (int $position): bool => $this->counts($position) && ! isset($this->taught[$position]));
            if ($open !== []) {
                $left[] = [$at + 1, new Passage(min($open), max($open))];
            }
        }

        return $left;
    }

    /** What leads into a lesson, as far as the group was taught it; a lesson that nothing taught stands before has none. */
    private function recap(Passage $lesson): ?Passage
    {
        $recap = (new RecapFinder($this->course->course->form, $this->course->cut->joins))->before($lesson->from);
        $known = array_values(array_filter($recap?->positions() ?? [], fn (int $position): bool => isset($this->taught[$position])));

        return $known === [] ? null : new Passage($known[0], $known[count($known) - 1]);
    }

    /** From the start of the section of the last entry taught by then, or as far back as its part of the meeting allows. */
    private function runThrough(?Passage $lesson, int $minutes): ?Passage
    {
        if ($lesson === null && $this->taught === []) {
            return null;
        }
        $to = $lesson === null ? max([0, ...array_keys($this->taught)]) : $lesson->to;
        $start = $this->course->course->form->sectionOf($to)->first ?? 1;
        $from = $to;
        while ($from > $start && $this->time->secondsBetween($from - 1, $to) <= $minutes * 60 * MeetingBoxes::MOST_RUN_THROUGH / 100) {
            $from--;
        }

        return new Passage($from, $to);
    }

    private function counts(int $position): bool
    {
        return $this->course->course->form->at($position)->kind->countsInForm();
    }
}
