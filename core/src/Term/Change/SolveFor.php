<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\MeetingState;
use Gorvan\Core\Term\SaidPace;
use Gorvan\Core\Term\Showing;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlanner;
use Gorvan\Core\Term\TermRequest;

/**
 * What a term would have to be, so that it comes to what is wanted (engine 9): each answer by planning again, never by a rule
 * of thumb. Long work: says how far it is as it goes.
 */
final readonly class SolveFor
{
    public const MOST_MEETINGS = 12;

    public const MOST_MINUTES = 60;

    public const MINUTES_STEP = 5;

    public function __construct(private TermPlanner $planner = new TermPlanner)
    {
    }

    /**
     * The furthest movement up to which the passage holds at the showing; null where not even the first does.
     *
     * @param  callable(int): void  $progress  hundredths that are done
     * @return int|null position
     */
    public function furthest(TermRequest $request, int $course, callable $progress): ?int
    {
        $outset = $request->courses[$course];
        $showing = $outset->course->showing ?? new Showing($request->meetings[count($request->meetings) - 1]->on, $outset->course->form->at($outset->course->target->to)->id);
        $movements = array_values(array_filter($outset->course->target->positions(), static fn (int $position): bool => $outset->course->form->at($position)->kind === EntryKind::Movement));
        $movements = array_reverse($movements);
        foreach ($movements as $n => $to) {
            $plan = $this->planner->plan(self::with($request, $course, self::upTo($outset, $to, new Showing($showing->on, $outset->course->form->at($to)->id)))->bare());
            $progress(intdiv(100 * ($n + 1), count($movements)));
            if ($plan->courses[$course]->showing?->holds() === true) {
                return $to;
            }
        }

        return null;
    }

    /**
     * The fewest extra meetings with which the target is reached and holds; null: not within twelve.
     *
     * @param  callable(TermDraft): TermRequest  $request  of a term that was changed
     * @param  callable(int): void  $progress
     * @return list<string>|null the days of the meetings
     */
    public function meetings(TermDraft $draft, callable $request, int $course, callable $progress): ?array
    {
        $days = [];
        for ($more = 0; $more <= self::MOST_MEETINGS; $more++) {
            if ($this->isReached($request($draft), $course)) {
                return $days;
            }
            $progress(intdiv(100 * ($more + 1), self::MOST_MEETINGS + 1));
            $day = $draft->widestGap();
            $like = array_values(array_filter($draft->taking(), static fn (DraftMeeting $meeting): bool => $meeting->isOpen))[0] ?? null;
            if ($day === null || $like === null) {
                return null;
            }
            $draft = $draft->put(new DraftMeeting("extra-$more", $day, $like->at, $like->minutes, true, MeetingState::Added));
            $days[] = $day;
        }

        return null;
    }

    /**
     * The fewest extra minutes a meeting, in fives, with which the target is reached and holds; null: not within sixty.
     *
     * @param  callable(int): void  $progress
     */
    public function minutes(TermRequest $request, int $course, callable $progress): ?int
    {
        for ($more = 0; $more <= self::MOST_MINUTES; $more += self::MINUTES_STEP) {
            $longer = array_map(static fn (TermMeeting $meeting): TermMeeting => $meeting->longer($meeting->isOpen ? $more : 0), $request->meetings);
            if ($this->isReached($request->with(['meetings' => $longer]), $course)) {
                return $more;
            }
            $progress(intdiv(100 * ($more + self::MINUTES_STEP), self::MOST_MINUTES + self::MINUTES_STEP));
        }

        return null;
    }

    /**
     * The slowest pace, in tenths of a movement an evening and up to twice what it is, with which the target is reached and holds;
     * null: not at twice the pace.
     *
     * @param  callable(int): void  $progress
     * @return float|null movements an evening
     */
    public function pace(TermRequest $request, int $course, callable $progress): ?float
    {
        $outset = $request->courses[$course];
        $minutes = array_map(static fn (TermMeeting $meeting): int => $meeting->minutes, $request->meetings);
        if ($minutes === []) {
            return null;
        }
        $is = ($outset->course->pace ?? $outset->course->paced($minutes, $outset->learned)->pace)->movements ?? 1.0;
        [$from, $to] = [(int) ceil(round(10 * $is, 6)), (int) floor(round(20 * $is, 6))];
        for ($tenths = $from; $tenths <= $to; $tenths++) {
            $faster = $outset->course->with(['said' => SaidPace::movements($tenths / 10), 'size' => new LessonSize])->paced($minutes, $outset->learned);
            if ($this->isReached(self::with($request, $course, $outset->with(['course' => $faster])), $course)) {
                return $tenths / 10;
            }
            $progress(intdiv(100 * ($tenths - $from + 1), max(1, $to - $from + 1)));
        }

        return null;
    }

    /** Whether everything the course aims at is given, and holds on its day. */
    public function isReached(TermRequest $request, int $course): bool
    {
        $outset = $request->courses[$course];
        $end = $outset->course->form->at($outset->course->target->to)->id;
        $last = $request->meetings[count($request->meetings) - 1] ?? null;
        if ($last === null) {
            return false;
        }
        // Without a showing it is looked at as a showing would be, a week after the last meeting.
        $shown = $outset->course->showing !== null ? $request : self::with($request, $course, self::upTo($outset, $outset->course->target->to, new Showing(\Gorvan\Core\Reading\Day::text(\Gorvan\Core\Reading\Day::number($last->on) + 7), $end)));
        $forecast = $this->planner->plan($shown->bare())->courses[$course];

        return $forecast->left === [] && $forecast->showing?->holds() === true;
    }

    /** A course that goes no further than an entry: its lessons as they are, the last one shortened. */
    public static function upTo(CourseOutset $outset, int $to, ?Showing $showing): CourseOutset
    {
        $cut = $outset->cut;
        $lessons = [];
        foreach ($cut->lessons as $lesson) {
            if ($lesson->from <= $to) {
                $end = min($lesson->to, $to);
                $lessons[] = new Lesson($lesson->from, $end, $end === $lesson->to ? $lesson->load : $cut->loadOf(new Passage($lesson->from, $end)), $lesson->number);
            }
        }

        return $outset->with([
            'course' => $outset->course->with(['target' => new Passage($outset->course->target->from, $to), 'showing' => $showing]),
            'cut' => new LessonCut($cut->target, $cut->lambda, $cut->objective, $cut->loads, $cut->joins, $lessons, new Passage($cut->passage->from, min($cut->passage->to, $to))),
        ]);
    }

    public static function with(TermRequest $request, int $course, CourseOutset $outset): TermRequest
    {
        $courses = $request->courses;
        $courses[$course] = $outset;

        return $request->with(['courses' => array_values($courses)]);
    }
}
