<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\RunOrder;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseMinutes;
use Gorvan\Core\Term\CourseNeed;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\LessonKind;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPins;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\ReviewProblem;
use Gorvan\Core\Term\RunThroughOrder;

/**
 * What one course does in its part of a meeting (engine 8): new work, run-through and review in whole minutes; what is left is
 * spent in its order, and said.
 *
 * @internal
 */
final class EveningPlanner
{
    /** New work may be slower, by so much of its minutes; where hardly anything is known, by all of them. */
    private const SLOWER = 0.25;

    private const MUCH_SLOWER = 1.0;

    private const FEW_LESSONS = 3;

    /** A run-through goes round once more, and no oftener; a set that is practised whole twice more. */
    private const TWICE = 2;

    private const THRICE = 3;

    /** Evenings of polish take turns: the weakest stretch, the joins between lessons, the whole form in another order. */
    private const TURNS = 3;

    private const JOINS = 1;

    private const OTHER_ORDER = 2;

    private const MOST_TO_HAND = 4;

    /** Why the teacher's own stand in a review: a passage, or movements one by one, each closed by its rest. */
    private const PINNED = 'pinned';

    private const PICKED = 'picked';

    public CourseMinutes $minutes;

    public ReviewProblem $problem;

    /** It joins what was taught side by side, and brings nothing new. */
    public bool $isJoin = false;

    /** @var list<Message> */
    public array $notes = [];

    /** What of tonight's the minutes that are open go to, before questions: lead-ups, and drills for two. */
    public ?Message $toHand = null;

    private readonly int $day;

    private readonly int $next;

    private readonly Course $course;

    private readonly Form $form;

    private readonly bool $isWhole;

    /** All of the target is gone through tonight, followed along where it is not taught: a set practised whole, or a rough round that was asked for. */
    private readonly bool $isRound;

    private readonly bool $isOwn;

    /** @var list<QueuedLesson> */
    private array $lessons = [];

    /** @var array<int, true> positions of the lessons */
    private array $tonight = [];

    private ?Passage $runThrough = null;

    private RunOrder $order = RunOrder::AsWritten;

    private int $times = 1;

    /** Where minutes are over: of review, or, where that is fixed, beside it. */
    private Box $from = Box::Review;

    /** Which turn of polish it is; 0 where it is none, too. */
    private int $turn = 0;

    /**
     * @param  int  $total  minutes of the meeting
     * @param  int  $middle  the course's minutes for review, new work and run-through
     * @param  float  $price  of a minute of review
     * @param  int|null  $fixedReview  minutes the teacher fixed, as far as they are this course's; likewise the other two
     * @param  bool  $givesOn  what it does not need goes to other courses
     */
    public function __construct(
        private readonly CourseWalk $walk,
        private readonly int $at,
        private readonly int $total,
        private readonly int $middle,
        private readonly float $price,
        private readonly ?int $fixedReview,
        private readonly ?int $fixedNew,
        private readonly ?int $fixedRun,
        private readonly bool $givesOn = false,
    ) {
        $this->day = $walk->calendar->days[$at];
        $this->next = $walk->calendar->next($at);
        $this->course = $walk->outset->course;
        $this->form = $this->course->form;
        $this->isWhole = $this->course->approach === Approach::WholeSet && ! $this->course->keepsAlive();
        $this->isOwn = $walk->calendar->isOwn($at);
        $this->isRound = $this->isOwn && ($this->isWhole || in_array($this->course->id, $this->pins()->rough, true));
    }

    public function plan(Decision $decision): CoursePlan
    {
        $walk = $this->walk;
        $isPolish = $decision->lesson === null && ! in_array($decision->kind, [MeetingKind::Showing, MeetingKind::LookBack], true) && $this->isOwn && $walk->hasTaught();
        $once = $this->isRound ? MeetingBoxes::roundedUp($walk->secondsWith($this->course->target) / 60.0) : 0;
        $most = $this->mostNew($once);
        $this->lessons = $decision->lesson === null ? [] : $walk->lessons($this->at, $decision->lesson, $most);
        foreach ($this->lessons as $lesson) {
            $this->tonight += array_fill_keys($lesson->passage->positions(), true);
        }
        $joined = $isPolish ? $walk->joined() : null;
        $this->isJoin = $joined !== null;
        $this->turn = $isPolish && ! $this->isJoin && ! $this->isRound && ! $this->course->keepsAlive() ? $walk->polished() % self::TURNS : 0;
        $this->share($decision, $once);
        $recap = $walk->recap($this->lessons[0] ?? null);
        $fixed = $this->fixed($joined, $isPolish);
        $passages = array_map(static fn (array $one): Passage => $one[0], $fixed);
        $left = $this->minutes->review - array_sum(array_map(static fn (array $one): float => $one[2], $fixed));
        $review = new ReviewPlanner($walk, $this->day, $this->next, $this->otherwise([$recap, ...$passages, ...array_map(static fn (QueuedLesson $lesson): Passage => $lesson->passage, $this->lessons)]), [
            ...$this->form->positionsOf($this->pins()->without[$this->course->id] ?? []),
            ...array_merge([], ...array_map($walk->counted(...), $passages)),
        ], $walk->nextRecap($this->lessons), $left, $this->price, $decision->lesson === null);
        $this->problem = $review->problem;
        $this->spend($review, $left - $review->minutes());
        $this->toHand = $this->minutes->free > 0 ? $this->toHand([...array_keys($this->tonight), ...array_merge([], ...array_map(static fn (Passage $one): array => $one->positions(), [...$passages, ...$review->passages()]))]) : null;

        return $this->written($decision, $recap, $joined, $fixed, $review, $most);
    }

    /** Minutes that new work may take: a fifth stays for review, and what the teacher fixed stays as it is. */
    private function mostNew(int $once): int
    {
        $free = $this->middle - ($this->fixedRun ?? min($once, $this->middle)) - ($this->fixedReview ?? ($this->fixedNew === null ? MeetingBoxes::keptForReview($this->middle) : 0));

        return max(0, $this->fixedNew === null ? $free : min($this->fixedNew, $free));
    }

    /** The minutes of new work, run-through and review, and what is run through in them. */
    private function share(Decision $decision, int $once): void
    {
        $picked = $this->pins()->orders[$this->course->id] ?? null;
        $this->order = $picked ?? $this->order;
        $walk = $this->walk;
        $new = $walk->minutesOf($this->lessons);
        if ($this->isRound) {
            $this->minutes = $this->withWholeSet($new, min($once, $this->fixedRun ?? $this->middle));
            $this->runThrough = match (true) {
                $this->minutes->runThrough >= $once => $this->course->target,
                $this->minutes->runThrough === 0 => null,
                default => $this->asFarAsItGoes($this->minutes->runThrough * 60.0),
            };

            return;
        }
        $isShowing = $walk->calendar->isShowing($this->at, $this->course);
        $isLonger = $this->turn === self::OTHER_ORDER || $decision->kind === MeetingKind::LookBack;
        $most = $isShowing ? $this->middle : min($this->middle, MeetingBoxes::mostRunThrough($this->total, $this->course->share, $isLonger ? MeetingBoxes::MOST_LONGER_RUN : MeetingBoxes::MOST_RUN_THROUGH));
        $passage = match (true) {
            $isShowing => $this->shownTonight(),
            $this->course->keepsAlive() => $walk->keptInTurn($this->turnOf(), $most * 60.0),
            default => $walk->runThrough($this->lessons, $most * 60.0, $isLonger),
        };
        $this->minutes = CourseMinutes::around($this->middle, new CourseNeed($this->course->share, (float) $new, $walk->secondsOf($passage) / 60.0, null, $most, $this->fixedReview, $this->fixedNew, $this->fixedRun));
        $this->runThrough = match (true) {
            $this->minutes->runThrough === 0 => null,
            $isShowing, $this->course->keepsAlive() => $passage,
            default => $walk->runThrough($this->lessons, $this->minutes->runThrough * 60.0, $isLonger || $this->fixedRun !== null),
        };
        if ($picked === null && $this->turn === self::OTHER_ORDER && $this->isAll($this->runThrough)) {
            $this->order = RunThroughOrder::another($this->form, $walk->inMotion($this->runThrough));
            $this->notes[] = Message::of('plan.polish_'.$this->order->value);
        }
    }

    /** How many evenings of its own the course had before this one. */
    private function turnOf(): int
    {
        return count(array_filter($this->walk->calendar->own, fn (int $one): bool => $one < $this->at));
    }

    /** The set runs whole before anything else; a long one as far as the evening goes. */
    private function withWholeSet(int $new, int $run): CourseMinutes
    {
        $review = min($this->fixedReview ?? 0, $this->middle);
        $new = min($this->fixedNew ?? $new, $this->middle - $review);
        $run = $this->fixedRun !== null ? min($this->fixedRun, $this->middle - $review - $new) : min($run, $this->middle - $review - $new);

        return CourseMinutes::rest($this->middle, $new, $run, $this->fixedReview);
    }

    private function asFarAsItGoes(float $seconds): Passage
    {
        $to = $this->course->target->from;
        while ($to < $this->course->target->to && $this->walk->secondsWith(new Passage($this->course->target->from, $to + 1)) <= $seconds) {
            $to++;
        }

        return new Passage($this->course->target->from, $to);
    }

    /** As much of the showing's passage as is taught: what is run through first on its evening. */
    private function shownTonight(): ?Passage
    {
        $passage = $this->course->showingPassage();
        $taught = $passage === null ? [] : array_values(array_filter($this->walk->counted($passage), $this->walk->isTaught(...)));

        return $taught === [] ? null : new Passage($taught[0], $taught[count($taught) - 1]);
    }

    private function isAll(?Passage $passage): bool
    {
        $taught = $this->walk->taught();

        return $passage !== null && $taught !== [] && $passage->from <= min($taught) && $passage->to >= max($taught);
    }

    /**
     * What is gone through whatever it is worth: what sides are joined by, what the last class said to begin with, what the teacher
     * put there; of an evening of polish, the joins between lessons; of a set whose pieces are all given, the one that holds least.
     *
     * @return list<array{Passage, PlannedReview|null, float}> with minutes
     */
    private function fixed(?Passage $joined, bool $isPolish): array
    {
        $left = (float) $this->minutes->review;
        $fixed = [];
        $isIn = [];
        $put = function (Passage $passage, ?string $why) use (&$left, &$fixed, &$isIn): void {
            $positions = $this->walk->counted($passage);
            if ($positions === [] || array_filter($positions, static fn (int $position): bool => isset($isIn[$position])) !== []) {
                return;
            }
            $isAsked = in_array($why, [self::PINNED, self::PICKED], true);
            if (array_filter($positions, fn (int $position): bool => ! $this->walk->isTaught($position)) !== []) {
                $isAsked && $this->note('plan.not_known_yet', title: $this->form->at($positions[0])->title);

                return;
            }
            if ($isAsked && $left < ReviewProblem::SET_UP) {
                $this->note('plan.no_room_for', title: $this->form->at($positions[0])->title);

                return;
            }
            [$passes, $minutes] = ReviewPlanner::fixed($this->walk, $passage, $left, $this->day, $why === null);
            $left -= $minutes;
            $isIn += array_fill_keys($positions, true);
            $fixed[] = [$passage, $why === null ? null : new PlannedReview($this->form->countedIdsOf($passage), $passes, $minutes, [$why => true, 'recall' => round($this->walk->recallOf($passage, $this->day), 4)]), $minutes];
        };
        if ($joined !== null) {
            $put($joined, null);
            $this->note('plan.joins', from: $this->form->at($joined->from)->title, to: $this->form->at($joined->to)->title, minutes: $fixed[0][2] ?? 0.0);
        }
        foreach ($this->isOwn ? $this->walk->firstNext() : [] as $passage) {
            $put($passage, 'first_next');
        }
        foreach ($this->pins()->with[$this->course->id] ?? [] as $entries) {
            $passage = $this->form->passageOf($entries);
            $passage !== null && $put($passage, self::PINNED);
        }
        foreach ($this->form->positionsOf($this->pins()->picked[$this->course->id] ?? []) as $position) {
            $put(new Passage($position, $position), self::PICKED);
        }
        if ($isPolish && $this->isWhole && $this->walk->queued() === []) {
            $weakest = $this->weakestPiece();
            $weakest !== null && $put($weakest, 'weakest');
        }
        if ($this->turn === self::JOINS) {
            $this->polishJoins($put, $left, count($fixed));
        }

        return $fixed;
    }

    /** The joins between lessons, those that are remembered least first, in at most half of what review has. */
    private function polishJoins(callable $put, float &$left, int $before): void
    {
        $joins = [];
        foreach ($this->walk->outset->cut->lessons as $n => $lesson) {
            $next = $this->walk->outset->cut->lessons[$n + 1] ?? null;
            $ends = $next === null ? [] : $this->walk->counted(new Passage($lesson->from, $lesson->to));
            $begins = $next === null ? [] : $this->walk->counted(new Passage($next->from, $next->to));
            if ($ends !== [] && $begins !== []) {
                $joins[] = new Passage($ends[count($ends) - 1], $begins[0]);
            }
        }
        $until = $left / 2;
        foreach ($this->leastFirst($joins) as $join) {
            $left > $until + 1e-9 && $put($join, 'joins');
        }
    }

    private function weakestPiece(): ?Passage
    {
        $pieces = array_filter($this->course->pieces(), fn (Passage $piece): bool => $this->walk->counted($piece) !== []);

        return $this->leastFirst(array_values($pieces))[0] ?? null;
    }

    /**
     * By what is remembered of them, the least first.
     *
     * @param  list<Passage>  $passages
     * @return list<Passage>
     */
    private function leastFirst(array $passages): array
    {
        $recall = fn (Passage $one): float => ReviewPlanner::ranked($this->walk->recallOf($one, $this->day));
        usort($passages, static fn (Passage $a, Passage $b): int => [$recall($a), $a->from] <=> [$recall($b), $b->from]);

        return $passages;
    }

    /**
     * What tonight does to entries beside review, by position; practice is more than a run-through.
     *
     * @param  list<Passage|null>  $practised
     * @return array<int, Evidence>
     */
    private function otherwise(array $practised): array
    {
        $other = [];
        foreach (array_filter($practised) as $passage) {
            $other += array_fill_keys($passage->positions(), $this->walk->class->practice());
        }

        return $other + array_fill_keys($this->runPositions(), Evidence::ranThrough());
    }

    /** @return list<int> what is run through, in its order */
    private function runPositions(): array
    {
        $isKept = $this->course->keepsAlive() ? array_fill_keys($this->walk->kept(), true) : null;
        $known = fn (int $position): bool => $isKept !== null ? isset($isKept[$position]) && $this->walk->isTaught($position) : $this->isRound || $this->walk->isTaught($position) || isset($this->tonight[$position]);
        $passage = $this->runThrough;
        $positions = array_values(array_filter($passage === null ? [] : ($this->isRound ? $this->walk->counted($passage) : $this->walk->inMotion($passage)), $known));

        // What is new tonight is no material for another order: it comes after what is known, as it is written.
        $new = array_values(array_filter($positions, fn (int $position): bool => ! $this->isRound && ! $this->walk->isTaught($position)));

        return [...RunThroughOrder::of($this->form, array_values(array_diff($positions, $new)), $this->order, "{$this->course->id}|{$this->walk->calendar->meetings[$this->at]->on}"), ...$new];
    }

    /**
     * No idle minutes (engine 8): slower new work, further passes of what is not quite there, a longer run-through, and what is left
     * even then is theirs.
     *
     * @param  float  $left  minutes that review has over
     */
    private function spend(ReviewPlanner $review, float $left): void
    {
        if ($this->fixedReview !== null) {
            // The teacher gave review its minutes: they stay where they are, and what is over lies beside them.
            $review->goAround($left, true);
            [$left, $this->from] = [(float) $this->minutes->free, Box::Free];
        }
        if ($this->givesOn) {
            $this->give($this->from === Box::Free ? 0 : self::whole($left), Box::Free);

            return;
        }
        $before = $this->minutes->new;
        $slower = $this->lessons === [] || $this->fixedNew !== null ? 0 : min(self::whole($left), (int) floor(round($before * ($this->isWhole || $this->walk->lessonsTaught() < self::FEW_LESSONS ? self::MUCH_SLOWER : self::SLOWER), 9)));
        $this->give($slower, Box::New, 'plan.spare_to_new');
        $spare = $left - $slower;
        if ($this->from === Box::Review) {
            $minutes = $review->minutes();
            $passes = $review->goAround($spare);
            $passes > 0 && $this->note('plan.more_passes', count: $passes);
            $spare -= $review->minutes() - $minutes;
        }
        $spare = self::whole($spare);
        $spare -= $this->fixedRun === null ? $this->runLonger($spare) : 0;
        $this->from === Box::Review && $this->give($spare, Box::Free);
    }

    /** The run-through goes back to the opening, then round again. @return int minutes it takes of those that are over */
    private function runLonger(int $spare): int
    {
        if ($spare <= 0 || $this->walk->reviewed() === [] && $this->lessons === [] && ! $this->isRound) {
            return 0;
        }
        $isShowing = $this->walk->calendar->isShowing($this->at, $this->course);
        $has = $this->minutes->runThrough;
        $most = $this->isRound || $isShowing
            ? $has + $spare
            : min($has + $spare, MeetingBoxes::mostRunThrough($this->total, $this->course->share, MeetingBoxes::MOST_LONGER_RUN));
        $passage = $this->isRound || $isShowing || $this->course->keepsAlive() || $this->order !== RunOrder::AsWritten ? $this->runThrough : $this->walk->runThrough($this->lessons, $most * 60.0, true);
        $once = $this->isRound ? $this->walk->secondsWith($passage) : $this->walk->secondsOf($passage);
        if ($passage === null || $once <= 0.0) {
            return 0;
        }
        $isRound = $this->isRound ? $passage->to === $this->course->target->to : $isShowing || $this->course->keepsAlive() || $this->isFromTheStart($passage);
        $times = $isRound ? max(1, min($this->isWhole ? self::THRICE : self::TWICE, (int) floor(round($most * 60.0 / $once, 9)))) : 1;
        $more = max(0, min($most, MeetingBoxes::roundedUp($times * $once / 60.0)) - $has);
        if ($more === 0) {
            return 0;
        }
        [$this->runThrough, $this->times] = [$passage, $times];
        $this->give($more, Box::RunThrough, $times > 1 ? 'plan.run_again' : 'plan.spare_to_run', times: $times);

        return $more;
    }

    /**
     * What leads up to tonight's entries, and what two can do with them: what is new first.
     *
     * @param  list<int>  $positions
     */
    private function toHand(array $positions): ?Message
    {
        $ids = $this->idsAt($positions);
        $leadUps = array_slice(array_values(array_unique(array_merge([], ...array_map(fn (string $id): array => $this->walk->outset->leadUps[$id] ?? [], $ids)))), 0, self::MOST_TO_HAND);
        $partner = array_values(array_intersect($ids, $this->walk->outset->partners))[0] ?? null;
        $title = $partner === null ? null : $this->form->at((int) $this->form->positionOf($partner))->title;

        return match (true) {
            $leadUps !== [] && $title !== null => Message::of('plan.to_hand_both', leadUps: implode(', ', $leadUps), title: $title),
            $leadUps !== [] => Message::of('plan.to_hand_lead_ups', leadUps: implode(', ', $leadUps)),
            $title !== null => Message::of('plan.to_hand_partner', title: $title),
            default => null,
        };
    }

    /** Whether a run-through begins where what is known begins. */
    private function isFromTheStart(Passage $passage): bool
    {
        $known = [...$this->walk->taught(), ...array_keys($this->tonight)];

        return $known !== [] && $passage->from <= min($known);
    }

    private function give(int $minutes, Box $to, ?string $note = null, int ...$with): void
    {
        if ($minutes > 0) {
            $this->minutes = $this->minutes->given($minutes, $to, $this->from);
            $note === null || $this->note($note, ...['count' => $minutes, ...$with]);
        }
    }

    /** @param  list<array{Passage, PlannedReview|null, float}>  $fixed */
    private function written(Decision $decision, ?Passage $recap, ?Passage $joined, array $fixed, ReviewPlanner $review, int $most): CoursePlan
    {
        $walk = $this->walk;
        $next = $decision->lesson;
        $isCut = $next !== null && $this->lessons !== [] && $this->lessons[0]->passage->to < $next->passage->to;
        $planned = $joined === null ? [] : [new PlannedLesson($this->form->countedIdsOf($joined), LessonKind::Join)];
        foreach ($this->lessons as $n => $lesson) {
            $planned[] = new PlannedLesson($this->form->countedIdsOf($lesson->passage), $lesson->kind, $lesson->number, $walk->partOf($lesson));
        }
        $positions = $this->runPositions();
        $shown = array_values(array_filter($positions, fn (int $position): bool => ! $walk->isTaught($position) && ! isset($this->tonight[$position])));
        $meeting = $walk->calendar->meetings[$this->at];
        // What stands behind a review is read before the evening happens.
        $reviews = [...array_values(array_filter(array_map(static fn (array $one): ?PlannedReview => $one[1], $fixed))), ...$review->planned()];
        $practised = [...($recap === null ? [] : [$recap]), ...array_map(static fn (array $one): Passage => $one[0], $fixed), ...$review->passages()];
        $forecast = $walk->held(new CourseEvening($this->lessons, $practised, $positions, $this->minutes, $decision->isHeldBack, $this->isOwn, $this->isJoin), $this->day, $this->next, $meeting->key ?? $meeting->on);

        return new CoursePlan(
            $this->course->id,
            $planned[0] ?? null,
            $this->form->countedIdsOf($recap),
            $reviews,
            $this->idsAt($positions),
            $forecast,
            $isCut ? Message::of('plan.why.in_part', number: $next->number, minutes: $walk->minutesOf([$next]), most: $most) : $decision->why,
            array_slice($planned, 1),
            times: $this->times,
            order: $this->order,
            shown: $this->idsAt($shown),
        );
    }

    /**
     * @param  list<int>  $positions
     * @return list<string>
     */
    private function idsAt(array $positions): array
    {
        return array_map(fn (int $position): string => $this->form->at($position)->id, $positions);
    }

    private function pins(): MeetingPins
    {
        return $this->walk->calendar->meetings[$this->at]->pins;
    }

    private function note(string $code, int|float|string ...$with): void
    {
        $this->notes[] = Message::of($code, ...$with);
    }

    private static function whole(float $minutes): int
    {
        return max(0, (int) floor(round($minutes, 9)));
    }
}
