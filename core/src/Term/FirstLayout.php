<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Internal\CourseWalk;

/**
 * The plainest layout: of each course one lesson a meeting, in order; every fourth meeting consolidates; one meeting in
 * six, at least one, is kept in reserve at the end; the first evening after a break brings nothing new. Each open meeting
 * is planned on memories simulated up to its day.
 */
final readonly class FirstLayout implements TermLayout
{
    private const CONSOLIDATE_EVERY = 4;

    private const RESERVE_ONE_IN = 6;

    /** A break is longer than this many days, and than half as much again as the usual gap. */
    private const BREAK_DAYS = 14;

    private const BREAK_GAPS = 1.5;

    public function lay(LayoutRequest $request): TermPlan
    {
        $days = array_map(static fn (TermMeeting $meeting): int => Day::number($meeting->on), $request->meetings);
        $walks = array_map(static fn (LayoutCourse $course): CourseWalk => new CourseWalk($course), $request->courses);
        $planned = [];
        foreach ($request->meetings as $at => $meeting) {
            if ($meeting->isOpen) {
                $next = $days[$at + 1] ?? $days[$at] + 7;
                $planned[$at] = $this->meeting($meeting, $this->kind($at, $days), $walks, $days[$at], max($next, $days[$at] + 1));
            }
        }

        return new TermPlan($planned, array_values(array_filter(array_map(static fn (CourseWalk $walk): ?Message => $walk->warning(), $walks))));
    }

    /**
     * @param  int  $at the meeting's place in the term, from 0
     * @param  list<int>  $days
     */
    private function kind(int $at, array $days): MeetingKind
    {
        $meetings = count($days);
        $reserve = $meetings === 1 ? 0 : max(1, intdiv($meetings, self::RESERVE_ONE_IN));

        return match (true) {
            $at >= $meetings - $reserve => MeetingKind::Reserve,
            ($at + 1) % self::CONSOLIDATE_EVERY === 0, self::isAfterBreak($at, $days) => MeetingKind::Consolidation,
            default => MeetingKind::Lesson,
        };
    }

    /** @param  list<int>  $days */
    private static function isAfterBreak(int $at, array $days): bool
    {
        $gaps = [];
        foreach (array_slice($days, 1) as $n => $day) {
            $gaps[$n + 1] = $day - $days[$n];
        }
        $gap = $gaps[$at] ?? 0;
        sort($gaps);

        return $gap > self::BREAK_DAYS && $gap > self::BREAK_GAPS * ($gaps[intdiv(count($gaps) - 1, 2)] ?? 0);
    }

    /**
     * @param  non-empty-list<CourseWalk>  $walks
     * @param  int  $day  of the meeting, and `next` of the one after it
     */
    private function meeting(TermMeeting $meeting, MeetingKind $kind, array $walks, int $day, int $next): MeetingPlan
    {
        $parts = array_map(static fn (CourseWalk $walk): array => $walk->next($kind === MeetingKind::Lesson, $meeting->minutes), $walks);
        $boxes = MeetingBoxes::planned($meeting->minutes, array_map(static fn (array $part, CourseWalk $walk): CourseNeed => new CourseNeed(
            $walk->course->course->share,
            $part['new'],
            $part['run'],
        ), $parts, $walks));
        $courses = [];
        $notes = $boxes->notes;
        foreach ($walks as $at => $walk) {
            $minutes = $boxes->courses[$at];
            $review = $walk->review($minutes->review, $day);
            [$boxes, $spent] = $this->spend($boxes, $minutes->review, $review, $parts[$at]['run_through'] !== null);
            array_push($notes, ...$spent);
            $courses[] = $walk->held($parts[$at], $review, $day, $next);
        }
        $hasLesson = array_filter($courses, static fn (CoursePlan $course): bool => $course->lesson !== null) !== [];

        return new MeetingPlan(
            $meeting->on,
            $meeting->minutes,
            $kind === MeetingKind::Lesson && ! $hasLesson ? MeetingKind::Consolidation : $kind,
            $boxes->all(),
            $courses,
            $notes,
        );
    }

    /**
     * No idle minutes: what review leaves over goes to the run-through, then to the focus, and the plan says so.
     *
     * @param  list<PlannedReview>  $review
     * @return array{MeetingBoxes, list<Message>}
     */
    private function spend(MeetingBoxes $boxes, int $minutes, array $review, bool $canRunThrough): array
    {
        $spare = $minutes - (int) ceil(round(ReviewList::total($review), 9));
        if ($spare <= 0) {
            return [$boxes, []];
        }
        $notes = [];
        $toRun = $canRunThrough ? min($spare, max(0, intdiv($boxes->total * MeetingBoxes::MOST_RUN_THROUGH, 100) - $boxes->minutes(Box::RunThrough))) : 0;
        if ($toRun > 0) {
            $boxes = $boxes->moved($toRun, Box::Review, Box::RunThrough);
            $notes[] = Message::of('plan.spare_to_run', count: $toRun);
        }
        $toFocus = $spare - $toRun;
        if ($toFocus > 0) {
            $boxes = $boxes->moved($toFocus, Box::Review, Box::Focus);
            $notes[] = Message::of('plan.spare_to_focus', count: $toFocus);
        }

        return [$boxes, $notes];
    }
}
