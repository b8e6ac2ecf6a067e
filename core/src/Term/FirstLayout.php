<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DateTimeImmutable;
use DateTimeZone;
use Gorvan\Core\Form\RunTime;
use Gorvan\Core\Lesson\RecapFinder;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Term\Internal\SimulatedRoster;

/**
 * The plainest layout: lessons in order, one a meeting; every fourth meeting consolidates; one meeting in six, at
 * least one, is kept in reserve at the end. Each open meeting is planned on memories simulated up to its day.
 */
final readonly class FirstLayout implements TermLayout
{
    private const CONSOLIDATE_EVERY = 4;

    private const RESERVE_ONE_IN = 6;

    public function lay(LayoutRequest $request): TermPlan
    {
        $roster = new SimulatedRoster($request->roster);
        $taught = array_fill_keys($request->taught, true);
        $left = $this->lessonsLeft($request);
        $planned = [];
        foreach ($request->meetings as $at => $meeting) {
            if (! $meeting->isOpen) {
                continue;
            }
            $kind = $this->kind($at, count($request->meetings), $left !== []);
            $next = $kind === MeetingKind::Lesson ? array_shift($left) : null;
            $plan = $this->meeting($request, $meeting, $kind, $next, array_keys($taught), $roster);
            foreach ($plan->lesson?->positions() ?? [] as $position) {
                $taught[$position] = true;
            }
            $planned[$at] = $this->forecast($plan, $roster, array_keys($taught), $this->dayAfter($request, $at));
        }

        return new TermPlan($planned, $this->warnings($request, $left));
    }

    /** @param  int  $at the meeting's place in the term, from 0 */
    private function kind(int $at, int $meetings, bool $hasLesson): MeetingKind
    {
        $reserve = max(1, intdiv($meetings, self::RESERVE_ONE_IN));

        return match (true) {
            $at >= $meetings - $reserve => MeetingKind::Reserve,
            ($at + 1) % self::CONSOLIDATE_EVERY === 0, ! $hasLesson => MeetingKind::Consolidation,
            default => MeetingKind::Lesson,
        };
    }

    /** @return list<array{int, Passage}> number in the cut, and what of that lesson is not taught yet */
    private function lessonsLeft(LayoutRequest $request): array
    {
        $taught = array_fill_keys($request->taught, true);
        $left = [];
        foreach ($request->cut->lessons as $at => $lesson) {
            $open = array_filter(range($lesson->from, $lesson->to), static fn (int $position): bool => ! isset($taught[$position]));
            if ($open !== []) {
                $left[] = [$at + 1, new Passage(min($open), max($open))];
            }
        }

        return $left;
    }

    /**
     * @param  array{int, Passage}|null  $next
     * @param  list<int>  $taught
     */
    private function meeting(LayoutRequest $request, TermMeeting $meeting, MeetingKind $kind, ?array $next, array $taught, SimulatedRoster $roster): PlannedMeeting
    {
        $time = new RunTime($request->form);
        [$number, $lesson] = $next ?? [null, null];
        $recapStart = $lesson === null ? null : (new RecapFinder($request->cut->joins))->startFor($lesson->from);
        $recap = $lesson === null || $recapStart === null ? null : new Passage($recapStart, $lesson->from - 1);
        $runThrough = $this->runThrough($request, $time, $lesson, $taught, $meeting->minutes);
        $boxes = MeetingBoxes::planned(
            $meeting->minutes,
            $lesson === null ? 0.0 : $this->loadOf($request, $lesson) * $request->approach->minutesPerLoad(),
            $runThrough === null ? 0.0 : $time->secondsBetween($runThrough->from, $runThrough->to) / 60.0,
        );
        $recalls = [];
        foreach ($taught as $position) {
            if ($request->form->at($position)->kind->countsInForm()) {
                $recalls[$position] = $roster->meanRecall($position, $meeting->on);
            }
        }
        $review = (new ReviewList($time))->fill($boxes->minutes(Box::Review), $recalls);
        [$boxes, $notes] = $this->spend($boxes, $review, $runThrough !== null);

        return new PlannedMeeting($meeting->on, $kind, $boxes, $number, $lesson, $recap, $review, $runThrough, 0, null, [...$boxes->warnings, ...$notes]);
    }

    /**
     * No idle minutes: what review leaves over goes to the run-through, then to the focus, and the plan says so.
     *
     * @param  list<ReviewItem>  $review
     * @return array{MeetingBoxes, list<string>}
     */
    private function spend(MeetingBoxes $boxes, array $review, bool $canRunThrough): array
    {
        $spare = $boxes->minutes(Box::Review) - (int) ceil(round(ReviewList::total($review), 9));
        if ($spare <= 0) {
            return [$boxes, []];
        }
        $notes = [];
        $toRun = $canRunThrough ? min($spare, max(0, intdiv($boxes->total * 15, 100) - $boxes->minutes(Box::RunThrough))) : 0;
        if ($toRun > 0) {
            $boxes = $boxes->moved($toRun, Box::Review, Box::RunThrough);
            $notes[] = "Review leaves $toRun ".($toRun === 1 ? 'minute' : 'minutes').' over, which go to a longer run-through.';
        }
        $toFocus = $spare - $toRun;
        if ($toFocus > 0) {
            $boxes = $boxes->moved($toFocus, Box::Review, Box::Focus);
            $notes[] = "Review leaves $toFocus ".($toFocus === 1 ? 'minute' : 'minutes').' over, which go to the focus, on what is known.';
        }

        return [$boxes, $notes];
    }

    /**
     * From the start of the section of the last entry taught by then, or as far back as 15 % of the meeting allows.
     *
     * @param  list<int>  $taught
     */
    private function runThrough(LayoutRequest $request, RunTime $time, ?Passage $lesson, array $taught, int $minutes): ?Passage
    {
        if ($lesson === null && $taught === []) {
            return null;
        }
        $to = $lesson === null ? max([0, ...$taught]) : $lesson->to;
        $start = $request->form->sectionOf($to)->first ?? 1;
        $from = $to;
        while ($from > $start && $time->secondsBetween($from - 1, $to) <= $minutes * 60 * 0.15) {
            $from--;
        }

        return new Passage($from, $to);
    }

    private function loadOf(LayoutRequest $request, Passage $passage): float
    {
        return array_sum(array_map(
            static fn (int $position): float => $request->cut->loads[$position - 1]->load,
            $passage->positions(),
        ));
    }

    /**
     * Lets the meeting happen to the simulated roster, and says what should be left of it on the next meeting's day.
     *
     * @param  list<int>  $taught
     */
    private function forecast(PlannedMeeting $plan, SimulatedRoster $roster, array $taught, string $next): PlannedMeeting
    {
        $roster->contact($plan->lesson?->positions() ?? [], $plan->on, Evidence::taught());
        foreach ([$plan->recap, $plan->runThrough, ...array_map(static fn (ReviewItem $item): Passage => $item->passage, $plan->review)] as $passage) {
            $roster->contact($passage?->positions() ?? [], $plan->on, Evidence::practised());
        }
        $recalls = array_map(static fn (int $position): float => $roster->meanRecall($position, $next), $taught);

        return new PlannedMeeting(
            $plan->on, $plan->kind, $plan->boxes, $plan->lessonNumber, $plan->lesson, $plan->recap, $plan->review,
            $plan->runThrough, count($taught), $recalls === [] ? null : array_sum($recalls) / count($recalls), $plan->notes,
        );
    }

    /** The next meeting's day, or a week on after the last. */
    private function dayAfter(LayoutRequest $request, int $at): string
    {
        $day = new DateTimeImmutable($request->meetings[$at]->on, new DateTimeZone('UTC'));

        return $request->meetings[$at + 1]->on ?? $day->modify('+7 days')->format('Y-m-d');
    }

    /**
     * @param  list<array{int, Passage}>  $left
     * @return list<string>
     */
    private function warnings(LayoutRequest $request, array $left): array
    {
        if ($left === []) {
            return [];
        }
        $lessons = count($left);
        $reached = $left[0][1]->from - 1;

        return [sprintf(
            'The term ends at entry %d of %d: %d %s left over for the next term.',
            $reached, $request->form->count(), $lessons, $lessons === 1 ? 'lesson is' : 'lessons are',
        )];
    }
}
