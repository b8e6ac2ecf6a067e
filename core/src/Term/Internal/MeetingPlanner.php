<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\MeetingFrame;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\ReviewProblem;
use Gorvan\Core\Term\RunningOrder;

/**
 * Plans one meeting to the minute (engine 8), and lets it happen to the simulated class.
 *
 * @internal
 */
final class MeetingPlanner
{
    /** Where courses take turns, the others are run through in one of so many minutes of the middle. */
    private const IN_PASSING = 10;

    /** Nobody asks questions for longer. Minutes. */
    private const FOR_QUESTIONS = 7;

    /** @var list<ReviewProblem> what the choices of review saw, course by course */
    public array $problems = [];

    /** @param  non-empty-list<CourseWalk>  $walks */
    public function __construct(private readonly array $walks, private readonly TermCalendar $calendar, private readonly int $at, private readonly RunningOrder $order)
    {
    }

    public function plan(): MeetingPlan
    {
        $meeting = $this->calendar->meetings[$this->at];
        $frame = MeetingFrame::of($meeting->minutes, $meeting->pins->boxes, $this->order);
        $shares = $this->shares();
        $middles = $frame->middles($shares);
        $fixed = [$frame->fixedIn(Box::Review, $shares), $frame->fixedIn(Box::New, $shares), $frame->fixedIn(Box::RunThrough, $shares)];
        $decisions = [];
        foreach ($this->walks as $n => $walk) {
            $walk->look($this->calendar->days[$this->at]);
            $decisions[$n] = $walk->calendar->isOwn($this->at) ? $walk->decide($this->at) : Decision::holds(Message::of('plan.why.not_its_turn'));
        }
        $decisions = self::heldByShowing($decisions);
        $isNew = array_filter($decisions, static fn (Decision $decision): bool => $decision->lesson !== null) !== [];
        $title = fn (CourseWalk $walk): ?string => count($this->walks) === 1 ? null : $walk->outset->course->form->title;
        $toHand = null;
        $courses = $minutes = $notes = $problems = $joins = [];
        $withLessons = array_keys(array_filter($this->walks, static fn (CourseWalk $walk): bool => ! $walk->outset->course->keepsAlive()));
        foreach ($this->inOrder() as $n) {
            $own = static fn (int $box): ?int => $fixed[$box][$n] ?? null;
            $givesOn = $this->walks[$n]->outset->course->keepsAlive() && $withLessons !== [];
            $planner = new EveningPlanner($this->walks[$n], $this->at, $meeting->minutes, $middles[$n], $isNew ? ReviewProblem::PRICE : 0.0, $own(0), $own(1), $own(2), $givesOn);
            $courses[$n] = $planner->plan($decisions[$n]);
            $minutes[$n] = $planner->minutes;
            $problems[$n] = $planner->problem;
            $joins[$n] = $planner->isJoin;
            $toHand ??= $planner->toHand;
            array_push($notes, ...array_map(fn (Message $note): Message => MeetingBoxes::of($title($this->walks[$n]), $note), $planner->notes));
            if ($givesOn) {
                // What a course that is only kept alive leaves goes to those with lessons, before anything is idle.
                foreach (MeetingBoxes::parts($minutes[$n]->free, array_map(fn (int $other): float => $shares[$other], $withLessons)) as $of => $more) {
                    $middles[$withLessons[$of]] += $more;
                }
                $minutes[$n] = $minutes[$n]->without($minutes[$n]->free);
            }
        }
        ksort($courses);
        ksort($minutes);
        ksort($problems);
        $this->problems = array_values($problems);
        $boxes = MeetingBoxes::planned($frame, array_values($minutes)); // @phpstan-ignore argument.type (as many as there are courses)
        $all = $boxes->all();
        if (($all[Box::Free->value] ?? 0) > 0) {
            $notes[] = match (true) {
                $toHand !== null => Message::of('plan.free_to_hand', count: $all[Box::Free->value], what: $toHand),
                $all[Box::Free->value] > self::FOR_QUESTIONS => Message::of('plan.free_long', count: $all[Box::Free->value]),
                default => Message::of('plan.free', count: $all[Box::Free->value]),
            };
        }

        return new MeetingPlan($meeting->on, $meeting->minutes, self::kind($decisions, $joins), $all, array_values($courses), [...$boxes->notes, ...$notes], pins: $meeting->pins->listed());
    }

    /**
     * What each course has of the middle: its share, or, where courses take turns, nearly all of its evening.
     *
     * @return non-empty-list<float>
     */
    private function shares(): array
    {
        $own = array_filter($this->walks, fn (CourseWalk $walk): bool => $walk->calendar->isOwn($this->at));
        if (count($own) === count($this->walks)) {
            return array_map(static fn (CourseWalk $walk): float => $walk->outset->course->share, $this->walks);
        }
        $others = count($this->walks) - count($own);

        return array_map(
            fn (CourseWalk $walk): float => $walk->calendar->isOwn($this->at) ? (self::IN_PASSING - 1) / max(1, count($own)) : 1.0 / $others,
            $this->walks,
        );
    }

    /** @return list<int> those that are only kept alive first, for what they leave goes to the others */
    private function inOrder(): array
    {
        $keeps = array_keys(array_filter($this->walks, static fn (CourseWalk $walk): bool => $walk->outset->course->keepsAlive()));

        return [...$keeps, ...array_values(array_diff(array_keys($this->walks), $keeps))];
    }

    /**
     * On the evening of a showing no course gives anything new.
     *
     * @param  array<int, Decision>  $decisions
     * @return array<int, Decision>
     */
    private static function heldByShowing(array $decisions): array
    {
        $isShowing = array_filter($decisions, static fn (Decision $decision): bool => $decision->kind === MeetingKind::Showing) !== [];

        return array_map(static fn (Decision $decision): Decision => $isShowing && $decision->lesson !== null ? Decision::holds(Message::of('plan.why.showing_of_another'), MeetingKind::Showing) : $decision, $decisions);
    }

    /**
     * @param  array<int, Decision>  $decisions
     * @param  array<int, bool>  $joins
     */
    private static function kind(array $decisions, array $joins): MeetingKind
    {
        return MeetingKind::of(array_map(
            static fn (Decision $decision, int $n): MeetingKind => $joins[$n] ? MeetingKind::Join : $decision->kind,
            $decisions,
            array_keys($decisions),
        ));
    }
}
