<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\CourseNeed;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\LessonKind;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\ReviewProblem;

/**
 * Plans one meeting to the minute (engine 8), and lets it happen to the simulated class.
 *
 * @internal
 */
final class MeetingPlanner
{
    /** @var list<ReviewProblem> what the choices of review saw, course by course */
    public array $problems = [];

    private MeetingBoxes $boxes;

    /** @var list<Message> */
    private array $notes = [];

    private readonly int $day;

    private readonly int $next;

    /** @param  non-empty-list<CourseWalk>  $walks */
    public function __construct(private readonly array $walks, private readonly TermCalendar $calendar, private readonly int $at)
    {
        $this->day = $calendar->days[$at];
        $this->next = $calendar->next($at);
    }

    public function plan(): MeetingPlan
    {
        $meeting = $this->calendar->meetings[$this->at];
        $shares = array_map(static fn (CourseWalk $walk): float => $walk->outset->course->share, $this->walks);
        $middles = MeetingBoxes::middles($meeting->minutes, $shares, $meeting->pins->boxes);
        $decisions = $needs = [];
        foreach ($this->walks as $n => $walk) {
            $walk->look($this->day);
            $decision = $walk->decide($this->at, $this->calendar, $middles[$n]);
            $run = $walk->runThrough($decision->lesson, $meeting->minutes * 60 * $shares[$n] * MeetingBoxes::MOST_RUN_THROUGH / 100);
            $decisions[] = $decision;
            $needs[] = new CourseNeed($shares[$n], (float) ($decision->lesson->minutes ?? 0), $run === null ? 0.0 : $walk->time->secondsBetween($run->from, $run->to) / 60.0, $this->title($walk));
        }
        $this->boxes = MeetingBoxes::planned($meeting->minutes, $needs, $meeting->pins->boxes);
        array_push($this->notes, ...$this->boxes->notes);
        $courses = [];
        foreach ($this->walks as $n => $walk) {
            $courses[] = $this->course($n, $walk, $decisions[$n], $middles[$n]);
        }

        return new MeetingPlan($meeting->on, $meeting->minutes, self::kind($decisions), $this->boxes->all(), $courses, $this->notes, pins: $meeting->pins->listed());
    }

    private function course(int $n, CourseWalk $walk, Decision $decision, int $middle): CoursePlan
    {
        $meeting = $this->calendar->meetings[$this->at];
        $form = $walk->outset->course->form;
        $own = $this->boxes->courses[$n];
        $recap = $walk->recap($decision->lesson);
        $runThrough = $own->runThrough === 0 ? null : $walk->runThrough($decision->lesson, $own->runThrough * 60.0);
        $left = (float) $own->review;
        $fixed = $lessons = [];
        $joined = $decision->lesson === null ? $walk->joined() : null;
        if ($joined !== null) {
            [, $minutes] = ReviewPlanner::fixed($walk, $joined, $left);
            $left -= $minutes;
            $lessons[] = new PlannedLesson($form->idsOf($joined), LessonKind::Join);
            $this->note($walk, 'plan.joins', from: $form->at($joined->from)->title, to: $form->at($joined->to)->title, minutes: $minutes);
        }
        $wanted = array_map(static fn (Passage $passage): array => [$passage, 'first_next'], $walk->firstNext());
        $isWanted = array_merge([], ...array_map(static fn (array $one): array => $one[0]->positions(), $wanted));
        foreach ($meeting->pins->with[$walk->outset->course->id] ?? [] as $entries) {
            $passage = $form->passageOf($entries);
            if ($passage !== null && array_intersect($passage->positions(), $isWanted) === []) {
                $wanted[] = [$passage, 'pinned'];
            }
        }
        foreach ($wanted as [$passage, $why]) {
            if (array_diff($walk->counted($passage), $walk->taught()) === [] && $walk->counted($passage) !== []) {
                [$passes, $minutes] = ReviewPlanner::fixed($walk, $passage, $left);
                $left -= $minutes;
                $fixed[] = [$passage, new PlannedReview($form->countedIdsOf($passage), $passes, $minutes, [$why => true, 'recall' => self::recall($walk, $passage, $this->day)])];
            }
        }
        $fixedPassages = array_column($fixed, 0);
        $review = new ReviewPlanner($walk, $this->day, $this->next, $this->otherwise($walk, [$recap, $joined, $decision->lesson?->passage, ...$fixedPassages], $runThrough), [
            ...$form->positionsOf($meeting->pins->without[$walk->outset->course->id] ?? []),
            ...array_merge([], ...array_map($walk->counted(...), $fixedPassages)),
        ], $walk->nextRecap($decision->lesson), $left);
        $this->problems[] = $review->problem;
        $given = $decision->lesson === null ? [] : [$decision->lesson];
        [$given, $runThrough] = $this->spend($n, $walk, $review, $given, $runThrough, $left - $review->minutes(), $middle);
        foreach ($given as $lesson) {
            $lessons[] = new PlannedLesson($form->countedIdsOf($lesson->passage), $lesson->kind, $lesson->number);
        }
        $own = $this->boxes->courses[$n];
        $forecast = $walk->held(new CourseEvening($given, $recap, $joined, [...$fixedPassages, ...$review->passages()], $runThrough, ['review' => $own->review, 'new' => $own->new, 'run_through' => $own->runThrough]), $this->day, $this->next, $meeting->key ?? $meeting->on);

        return new CoursePlan(
            $walk->outset->course->id,
            $lessons[0] ?? null,
            $form->countedIdsOf($recap),
            [...array_column($fixed, 1), ...$review->planned()],
            $form->countedIdsOf($runThrough),
            $forecast,
            $decision->why,
            array_slice($lessons, 1),
        );
    }

    /**
     * No idle minutes (engine 8): what review leaves over goes to a second lesson, to further passes, to the run-through, and
     * to the focus, or to slower new work where nothing is known yet; and the plan says so.
     *
     * @param  list<QueuedLesson>  $given
     * @param  float  $left  minutes
     * @return array{list<QueuedLesson>, Passage|null}
     */
    private function spend(int $n, CourseWalk $walk, ReviewPlanner $review, array $given, ?Passage $runThrough, float $left, int $middle): array
    {
        $isFixed = $this->calendar->meetings[$this->at]->pins->boxes;
        $second = $given === [] || isset($isFixed['review']) || isset($isFixed['new']) ? null : $walk->second($given[0], $this->at, $this->calendar, self::whole($left), $middle);
        if ($second !== null) {
            $given[] = $second;
            $this->boxes = $this->boxes->given($n, $second->minutes, Box::Review, Box::New);
            $left -= $second->minutes;
            $this->note($walk, 'plan.second_lesson', number: $second->number, minutes: $second->minutes);
            $runThrough = $runThrough === null ? null : $walk->runThrough($second, $this->boxes->courses[$n]->runThrough * 60.0);
        }
        $before = $review->minutes();
        $passes = $review->goAround($left);
        $spare = self::whole($left - ($review->minutes() - $before));
        if ($passes > 0) {
            $this->note($walk, 'plan.more_passes', count: $passes);
        }
        $share = $walk->outset->course->share;
        $toRun = isset($isFixed['run_through']) || ! ($walk->hasTaught() || $given !== []) ? 0 : min($spare, MeetingBoxes::mostRunThrough($this->boxes->total, $share) - $this->boxes->courses[$n]->runThrough);
        if ($toRun > 0) {
            $this->boxes = $this->boxes->given($n, $toRun, Box::Review, Box::RunThrough);
            $spare -= $toRun;
            $runThrough = $walk->runThrough($given[count($given) - 1] ?? null, $this->boxes->courses[$n]->runThrough * 60.0, true);
            $this->note($walk, 'plan.spare_to_run', count: $toRun);
        }
        if ($spare > 0) {
            $isSlower = ! $walk->hasTaught() && $given !== [];
            $this->boxes = $this->boxes->given($n, $spare, Box::Review, $isSlower ? Box::New : Box::Focus);
            $this->note($walk, $isSlower ? 'plan.spare_to_new' : 'plan.spare_to_focus', count: $spare);
        }

        return [$given, $runThrough];
    }

    /**
     * What tonight does to entries beside review, by position; practice is more than a run-through.
     *
     * @param  list<Passage|null>  $practised
     * @return array<int, Evidence>
     */
    private function otherwise(CourseWalk $walk, array $practised, ?Passage $runThrough): array
    {
        $other = [];
        foreach ($practised as $passage) {
            foreach ($passage?->positions() ?? [] as $position) {
                $other[$position] = $walk->class->practice();
            }
        }
        $ranThrough = Evidence::ranThrough();
        foreach ($runThrough?->positions() ?? [] as $position) {
            $other[$position] ??= $ranThrough;
        }

        return $other;
    }

    private function note(CourseWalk $walk, string $code, int|float|string ...$with): void
    {
        $this->notes[] = MeetingBoxes::of($this->title($walk), Message::of($code, ...$with));
    }

    private function title(CourseWalk $walk): ?string
    {
        return count($this->walks) === 1 ? null : $walk->outset->course->form->title;
    }

    private static function whole(float $minutes): int
    {
        return (int) floor(round($minutes, 9));
    }

    private static function recall(CourseWalk $walk, Passage $passage, int $day): float
    {
        $positions = $walk->counted($passage);

        return round(array_sum(array_map(static fn (int $position): float => $walk->class->meanRecall($position, $day), $positions)) / max(1, count($positions)), 4);
    }

    /** @param  list<Decision>  $decisions */
    private static function kind(array $decisions): MeetingKind
    {
        $kinds = array_map(static fn (Decision $decision): MeetingKind => $decision->kind, $decisions);

        return match (true) {
            in_array(MeetingKind::Lesson, $kinds, true) => MeetingKind::Lesson,
            in_array(MeetingKind::Reserve, $kinds, true) => MeetingKind::Reserve,
            default => MeetingKind::Consolidation,
        };
    }
}
