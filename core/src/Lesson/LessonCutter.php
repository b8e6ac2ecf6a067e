<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Internal\CutTables;
use Gorvan\Core\Lesson\Internal\Passages;
use LogicException;

/**
 * Cuts a form into lessons of near-equal load at good places to stop (engine 4), exactly, by dynamic programming.
 *
 * With exactly K lessons, of all cuts that keep the caps, pins and bars it takes the one that minimises
 * `sum ((L - T) / T)^2 + lambda x sum (1 - rest)`; equal objectives go to the earliest first cut, then second, …
 * The lessons tile the passage: every entry once, in order.
 */
final readonly class LessonCutter
{
    public const TARGET = 4.0;

    public const LAMBDA = 0.5;

    public function __construct(
        private LoadModel $loads = new LoadModel,
        private RestModel $rests = new RestModel,
        private float $lambda = self::LAMBDA,
    ) {
    }

    /**
     * @param  float|null  $target  load of a lesson; 4 when neither is given
     * @param  int|null  $lessons  how many lessons; the target is then the total load over it
     * @param  CutScope|null  $scope  what of the form; null for all of it
     *
     * @throws CutImpossible
     */
    public function cut(Form $form, ?float $target = null, ?int $lessons = null, ?CutScope $scope = null): LessonCut
    {
        if ($target !== null && $lessons !== null) {
            throw TargetAndLessons::bothSaid();
        }
        if ($target !== null && ! ($target > 0.0 && is_finite($target))) {
            throw TargetNotPositive::was($target);
        }
        $scope ??= CutScope::whole($form);
        $loads = $this->loads->of($form, $scope->target, $scope->learned);
        $joins = $this->rests->of($form, $scope->pins);
        $passages = new Passages($loads, $joins, $scope->target);
        if ($lessons !== null) {
            $target = $this->targetFor($passages, $lessons);
        } else {
            $target ??= self::TARGET;
            $lessons = $this->count($passages, $target);
        }
        $tables = new CutTables($passages, $target, $lessons, $this->lambda);
        $made = [];
        $from = $scope->target->from;
        foreach ($tables->ends() as $to) {
            $made[] = new Lesson($from, $to, $passages->load($from, $to), count($made) + 1);
            $from = $to + 1;
        }
        if ($from !== $scope->target->to + 1) {
            throw new LogicException("the lessons end at $from and not at {$scope->target->to}");
        }

        return new LessonCut($target, $this->lambda, $tables->objective(), $loads, $joins, $made, $scope->target);
    }

    /** The same with another weight of good places to stop; its own where null. Pure. */
    public function weighing(?float $lambda): self
    {
        return $lambda === null ? $this : new self($this->loads, $this->rests, $lambda);
    }

    /**
     * What a cut after each join would cost against the best, with the number and the size of the lessons and every other
     * pin and bar held, the free cuts chosen anew.
     *
     * @param  int|null  $moving  the position before a notch that is in the hand: its pin is let go
     */
    public function prices(Form $form, LessonCut $cut, ?CutScope $scope = null, ?int $moving = null): CutPrices
    {
        $scope ??= CutScope::whole($form);
        $pins = $moving === null || ($scope->pins[$moving] ?? $form->at($moving)->cut) !== CutPin::Always ? $scope->pins : [$moving => null] + $scope->pins;
        $passages = new Passages($cut->loads, $this->rests->of($form, $pins), $scope->target);
        $tables = new CutTables($passages, $cut->target, count($cut->lessons), $cut->lambda);
        $through = [];
        for ($after = $scope->target->from; $after < $scope->target->to; $after++) {
            $through[$after] = $tables->objectiveThrough($after);
        }

        return CutPrices::of($tables->objective(), $through);
    }

    /**
     * A cut that was made before, as a course keeps it: its lessons by the ids of their entries, with the loads and joins of
     * the form as it is. Entries that are gone are not in it; a lesson of which nothing is left is none.
     *
     * @param  list<list<string>>  $lessons
     * @param  int  $first  the number of the first, where they are some of a form's own
     * @param  float|null  $target  the load they were meant to have; null for the mean of what they have
     */
    public function kept(Form $form, CutScope $scope, array $lessons, int $first = 1, ?float $target = null): LessonCut
    {
        $loads = $this->loads->of($form, $scope->target, $scope->learned);
        $joins = $this->rests->of($form, $scope->pins);
        $passages = new Passages($loads, $joins, $scope->target);
        $kept = [];
        foreach ($lessons as $ids) {
            $passage = $form->passageOf($ids);
            if ($passage !== null) {
                $kept[] = $passage;
            }
        }
        usort($kept, static fn (Passage $a, Passage $b): int => $a->from <=> $b->from);
        $kept = array_map(static fn (Passage $one, int $at): Lesson => new Lesson($one->from, $one->to, $passages->load($one->from, $one->to), $first + $at), $kept, array_keys($kept));
        $target ??= $kept === [] ? self::TARGET : $passages->total() / count($kept);

        return LessonCut::made($target, $this->lambda, $loads, $joins, $kept, $scope->target);
    }

    /**
     * A stretch of a cut that is cut once more, into pieces of about a load, with the loads and joins it has there (engine 8: a
     * lesson that no evening takes in); all of it, where no such pieces can be made.
     *
     * @return non-empty-list<Lesson>
     */
    public function again(LessonCut $cut, Passage $within, float $target): array
    {
        $passages = new Passages($cut->loads, $cut->joins, $within);
        $range = $passages->feasibleRange($target);
        if ($range === null) {
            return [new Lesson($within->from, $within->to, $passages->total(), 1)];
        }
        $made = [];
        $from = $within->from;
        foreach ((new CutTables($passages, $target, max($range[0], min($range[1], LessonCut::lessonsIn($passages->total(), $target))), $this->lambda))->ends() as $to) {
            $made[] = new Lesson($from, $to, $passages->load($from, $to), count($made) + 1);
            $from = $to + 1;
        }

        return $made === [] ? [new Lesson($within->from, $within->to, $passages->total(), 1)] : $made;
    }

    /**
     * The load of a lesson when so many are asked for.
     *
     * @throws CutImpossible
     */
    private function targetFor(Passages $passages, int $lessons): float
    {
        if ($lessons < 1 || $lessons > $passages->count()) {
            throw LessonsOutOfRange::of($lessons, $passages->count());
        }
        $target = $passages->total() / $lessons;
        if (! $passages->isFeasible($lessons, $target)) {
            $feasible = $passages->feasibleCounts();
            throw $feasible === [] ? $this->capCannotBeKept($passages, $target) : LessonsInfeasible::of($lessons, $feasible);
        }

        return $target;
    }

    /**
     * How many lessons: the total over the target, halves up, moved into what is feasible.
     *
     * @throws CutImpossible
     */
    private function count(Passages $passages, float $target): int
    {
        $range = $passages->feasibleRange($target) ?? throw $this->capCannotBeKept($passages, $target);

        return max($range[0], min($range[1], LessonCut::lessonsIn($passages->total(), $target)));
    }

    private function capCannotBeKept(Passages $passages, float $target): CapCannotBeKept
    {
        [$from, $to] = $passages->heaviestBlock();

        return CapCannotBeKept::by($from, $to, $passages->load($from, $to), $target, Passages::CAP * $target);
    }
}
