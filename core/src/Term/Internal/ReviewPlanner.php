<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Time\Passes;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\ChosenPassage;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\ReviewChooser;
use Gorvan\Core\Term\ReviewItem;
use Gorvan\Core\Term\ReviewProblem;

/**
 * What of a course is reviewed at a meeting, for how long, and why (engine 7 and 8).
 *
 * @internal
 */
final class ReviewPlanner
{
    private const MOST_PASSES = 6;

    /** Under this mean recall a passage may be gone through more than three times. */
    private const NOT_QUITE = 0.85;

    /** From this on most still have it. */
    private const STILL_THERE = 0.9;

    private const NEXT_RECAP = 1.5;

    private const SHOWN = 2.0;

    /** @var array<int, EntryGain> by position */
    private array $gains = [];

    /** @var array<int, float> by position */
    private array $weights = [];

    public readonly ReviewProblem $problem;

    /** @var list<ChosenPassage> */
    private array $chosen;

    /** @var array<int, int> passes of each chosen passage */
    private array $passes;

    /**
     * @param  array<int, Evidence>  $other  what else tonight does, by position
     * @param  list<int>  $without  positions that are left out tonight
     * @param  float  $budget  minutes
     * @param  float  $price  of a minute
     * @param  bool  $isPolish  nothing new comes tonight: what most still have is not gone through two evenings running
     */
    public function __construct(private readonly CourseWalk $walk, private readonly int $day, private readonly int $next, array $other, array $without, private readonly ?Passage $nextRecap, float $budget, float $price = 0.0, bool $isPolish = false, ReviewChooser $chooser = new ReviewChooser)
    {
        $course = $walk->outset->course;
        $isLeftOut = array_fill_keys($without, true);
        $shown = $course->showing !== null && $day <= Day::number($course->showing->on) ? $course->showingPassage() : null;
        $items = array_fill(0, $course->form->count(), null);
        foreach ($walk->reviewed() as $position) {
            if (isset($isLeftOut[$position]) || ($isPolish && $walk->wasReviewed($position) && $walk->class->meanRecall($position, $day) >= self::STILL_THERE)) {
                continue;
            }
            $own = $other[$position] ?? null;
            // What is practised tonight in any case gains nothing by being practised.
            $gain = $own === $walk->class->practice() ? null : $walk->class->gain($position, $day, $next, $own);
            if ($gain !== null) {
                $this->gains[$position] = $gain;
            }
            $this->weights[$position] = max(self::isIn($position, $nextRecap) ? self::NEXT_RECAP : 1.0, self::isIn($position, $shown) ? self::SHOWN : 1.0);
            // Where a form is only kept alive, what is there has its price on every evening.
            $isPriced = $course->keepsAlive() && $walk->class->meanRecall($position, $day) >= self::STILL_THERE;
            $items[$position - 1] = new ReviewItem(($gain->gain ?? 0.0) * $this->weights[$position], $this->minutesOf($position, Passes::USUAL), $isPriced ? max($price, ReviewProblem::PRICE) : null);
        }
        $this->problem = new ReviewProblem(array_values($items), max(0.0, $budget), price: $price);
        $this->chosen = $chooser->choose($this->problem)->passages;
        $this->passes = array_map(static fn (): int => Passes::USUAL, $this->chosen);
    }

    /** Minutes the chosen passages take as they stand. */
    public function minutes(): float
    {
        return array_sum(array_map(fn (ChosenPassage $one, int $passes): float => $this->minutesWith($one->passage, $passes), $this->chosen, $this->passes));
    }

    /**
     * Further passes for what minutes are left, of passages that are not quite there (under 0.85): what leads into the next lesson
     * first, then what is remembered least, one pass at a time.
     *
     * @param  bool  $whatever  of all passages: where the teacher gave review more minutes than it needs
     * @return int how many were added
     */
    public function goAround(float $spare, bool $whatever = false): int
    {
        $order = array_filter(array_keys($this->chosen), fn (int $at): bool => $whatever || $this->recall($at) < self::NOT_QUITE);
        $rank = fn (int $at): array => [! $this->leadsOn($at), self::ranked($this->recall($at)), $at];
        usort($order, static fn (int $a, int $b): int => $rank($a) <=> $rank($b));
        $added = 0;
        for ($round = Passes::USUAL; $round < self::MOST_PASSES; $round++) {
            foreach ($order as $at) {
                $cost = $this->minutesWith($this->chosen[$at]->passage, $this->passes[$at] + 1) - $this->minutesWith($this->chosen[$at]->passage, $this->passes[$at]);
                if ($cost <= $spare + 1e-9 && $this->goesRound($this->chosen[$at]->passage, $this->passes[$at])) {
                    $this->passes[$at]++;
                    $spare -= $cost;
                    $added++;
                }
            }
        }

        return $added;
    }

    /** Whether another pass has anything to go through: what takes long is not gone through again. */
    private function goesRound(Passage $passage, int $passes): bool
    {
        foreach ($this->walk->counted($passage) as $position) {
            if ($this->minutesOf($position, $passes + 1) > $this->minutesOf($position, $passes)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Passage> */
    public function passages(): array
    {
        return array_map(static fn (ChosenPassage $one): Passage => $one->passage, $this->chosen);
    }

    /** @return list<PlannedReview> in the order of the form */
    public function planned(): array
    {
        $instead = $this->instead();

        return array_map(fn (ChosenPassage $one, int $passes): PlannedReview => new PlannedReview(
            $this->walk->outset->course->form->countedIdsOf($one->passage),
            self::timesOf($this->walk, $one->passage, $passes),
            $this->minutesWith($one->passage, $passes),
            $this->why($one, $instead),
        ), $this->chosen, $this->passes);
    }

    /**
     * A passage that is gone through whatever it is worth, as often as some minutes allow, three times at most; what joins two sides
     * up to six times while it is not quite there.
     *
     * @return array{int, float} passes and minutes
     */
    public static function fixed(CourseWalk $walk, Passage $passage, float $most, int $day = 0, bool $isJoin = false): array
    {
        $passes = $isJoin && $walk->recallOf($passage, $day) < self::NOT_QUITE ? self::MOST_PASSES : Passes::USUAL;
        while ($passes > 1 && self::minutesTogether($walk, $passage, $passes) > $most + 1e-9) {
            $passes--;
        }

        return [self::timesOf($walk, $passage, $passes), min(self::minutesTogether($walk, $passage, $passes), max(0.0, $most))];
    }

    /**
     * The numbers behind a passage: what recall would fall to by the next meeting without it, and what it is with it; for whom
     * most; and what the best passage left out would have been worth in its minutes.
     *
     * @return array<string, mixed>
     */
    private function why(ChosenPassage $one, ?ChosenPassage $instead): array
    {
        $positions = $this->walk->counted($one->passage);
        $gains = array_map(fn (int $position): ?EntryGain => $this->gains[$position] ?? null, $positions);
        $known = array_values(array_filter($gains));
        $byStudent = [];
        foreach ($known as $gain) {
            foreach ($gain->byStudent as $student => $of) {
                $byStudent[$student] = ($byStudent[$student] ?? 0.0) + $of;
            }
        }
        arsort($byStudent);
        $mean = static fn (array $of): float => round(array_sum($of) / max(1, count($positions)), 4);

        return array_filter([
            'recall' => round($this->recallOf($one->passage), 4),
            'without' => $mean(array_map(static fn (EntryGain $gain): float => $gain->without, $known)),
            'with' => $mean(array_map(static fn (EntryGain $gain): float => $gain->with, $known)),
            'weight' => max([1.0, ...array_map(fn (int $position): float => $this->weights[$position] ?? 1.0, $positions)]),
            'value' => $one->value,
            'most' => $byStudent === [] ? null : (string) array_key_first($byStudent),
            'instead' => $instead === null ? null : [
                'entries' => $this->walk->outset->course->form->countedIdsOf($instead->passage),
                'value' => round($instead->value, 4),
                'minutes' => $instead->minutes,
            ],
        ], static fn (mixed $value): bool => $value !== null);
    }

    /** The best passage that was left out, in the minutes of the longest that was not. */
    private function instead(): ?ChosenPassage
    {
        if ($this->chosen === []) {
            return null;
        }
        $items = $this->problem->entries;
        foreach ($this->chosen as $one) {
            foreach ($one->passage->positions() as $position) {
                $items[$position - 1] = null;
            }
        }
        $left = (new ReviewChooser)->choose(new ReviewProblem(array_values($items), max(array_map(static fn (ChosenPassage $one): float => $one->minutes, $this->chosen)), price: $this->problem->price))->passages;
        usort($left, static fn (ChosenPassage $a, ChosenPassage $b): int => [$b->value, $a->passage->from] <=> [$a->value, $b->passage->from]);

        return $left[0] ?? null;
    }

    private function leadsOn(int $at): bool
    {
        foreach ($this->chosen[$at]->passage->positions() as $position) {
            if (self::isIn($position, $this->nextRecap)) {
                return true;
            }
        }

        return false;
    }

    private function recall(int $at): float
    {
        return $this->recallOf($this->chosen[$at]->passage);
    }

    /** What is equal but for the arithmetic of a mean is equal, and goes by its place. */
    public static function ranked(float $recall): float
    {
        return round($recall, 9);
    }

    /** Mean recall tonight, before anything is done. */
    private function recallOf(Passage $passage): float
    {
        return $this->walk->recallOf($passage, $this->day);
    }

    private function minutesWith(Passage $passage, int $passes): float
    {
        return self::minutesTogether($this->walk, $passage, $passes);
    }

    private static function minutesTogether(CourseWalk $walk, Passage $passage, int $passes): float
    {
        $quarters = ReviewProblem::quarters(ReviewProblem::SET_UP);
        foreach ($walk->counted($passage) as $position) {
            $quarters += ReviewProblem::quarters(self::minutesIn($walk, $position, $passes));
        }

        return $quarters / ReviewProblem::QUARTERS;
    }

    private function minutesOf(int $position, int $passes): float
    {
        return self::minutesIn($this->walk, $position, $passes);
    }

    private static function minutesIn(CourseWalk $walk, int $position, int $passes): float
    {
        return Passes::minutes($walk->time->secondsOf($position) ?? 0.0, $passes);
    }

    /** How often a passage is gone through: as often as that of its entries which is gone through most. */
    private static function timesOf(CourseWalk $walk, Passage $passage, int $passes): int
    {
        return max([1, ...array_map(static fn (int $position): int => Passes::of($walk->time->secondsOf($position) ?? 0.0, $passes), $walk->counted($passage))]);
    }

    private static function isIn(int $position, ?Passage $passage): bool
    {
        return $passage !== null && $passage->from <= $position && $position <= $passage->to;
    }
}
