<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Lesson\Internal\Passages;

/**
 * Cuts a form into lessons of near-equal load at good places to stop (engine 4), exactly, by dynamic programming.
 *
 * With exactly K lessons, of all cuts that keep the caps, pins and bars it takes the one that minimises
 * `sum ((L - T) / T)^2 + lambda x sum (1 - rest)`; equal objectives go to the earliest first cut, then second, …
 */
final readonly class LessonCutter
{
    public const TARGET = 4.0;

    public const LAMBDA = 0.5;

    private const TIE = 1e-12;

    public function __construct(
        private LoadModel $loads = new LoadModel,
        private RestModel $rests = new RestModel,
        private float $lambda = self::LAMBDA,
    ) {
    }

    /**
     * @param  float|null  $target  load of a lesson; 4 when neither is given
     * @param  int|null  $lessons  how many lessons; the target is then the total load over it
     *
     * @throws CutImpossible
     */
    public function cut(Form $form, ?float $target = null, ?int $lessons = null): LessonCut
    {
        if ($target !== null && $lessons !== null) {
            throw CutImpossible::targetAndLessons();
        }
        if ($target !== null && ! ($target > 0.0 && is_finite($target))) {
            throw CutImpossible::targetMustBePositive($target);
        }
        $loads = $this->loads->of($form);
        $joins = $this->rests->of($form);
        $passages = new Passages($loads, $joins);
        if ($lessons !== null) {
            if ($lessons < 1 || $lessons > $form->count()) {
                throw CutImpossible::lessonsOutOfRange($lessons, $form->count());
            }
            $target = $passages->total() / $lessons;
            if (! $passages->isFeasible($lessons, $target)) {
                throw CutImpossible::lessonsInfeasible($lessons, $passages->feasibleCounts());
            }
        } else {
            $target ??= self::TARGET;
            $lessons = $this->count($passages, $target);
        }
        [$objective, $ends] = $this->best($passages, $target, $lessons);
        $made = [];
        $from = 1;
        foreach ($ends as $to) {
            $made[] = new Lesson($from, $to, $passages->load($from, $to));
            $from = $to + 1;
        }

        return new LessonCut($target, $this->lambda, $objective, $loads, $joins, $made);
    }

    /** How many lessons: the total over the target, halves up, moved into what is feasible. */
    private function count(Passages $passages, float $target): int
    {
        $range = $passages->feasibleRange($target);
        if ($range === null) {
            [$from, $to] = $passages->heaviestBlock();
            throw CutImpossible::nothingFits($target, $from, $to, $passages->load($from, $to), Passages::CAP * $target);
        }
        $ratio = round(min($passages->total() / $target, 1e6), 9); // a half that sums of tenths have missed by a hair is a half
        $wanted = max(1, (int) floor($ratio + 0.5));

        return max($range[0], min($range[1], $wanted));
    }

    /** @return array{float, list<int>} the objective and the last position of each lesson */
    private function best(Passages $passages, float $target, int $lessons): array
    {
        $count = $passages->count();
        $cost = []; // [start][end] => what a lesson from start to end adds, its cut included
        for ($from = 1; $from <= $count; $from++) {
            foreach ($passages->endsFrom($from, $target) as $to) {
                $deviation = $target > 0.0 ? ($passages->load($from, $to) - $target) / $target : 0.0;
                $cost[$from][$to] = $deviation ** 2 + ($to < $count ? $this->lambda * (1.0 - $passages->rest($to)) : 0.0);
            }
        }
        $tail = [0 => [$count + 1 => 0.0]]; // [lessons left][start] => the least cost from start to the end
        for ($left = 1; $left <= $lessons; $left++) {
            $tail[$left] = [];
            for ($from = $count - $left + 1; $from >= 1; $from--) {
                $least = INF;
                foreach ($cost[$from] ?? [] as $to => $own) {
                    $least = min($least, $own + ($tail[$left - 1][$to + 1] ?? INF));
                }
                if ($least < INF) {
                    $tail[$left][$from] = $least;
                }
            }
        }
        $objective = $tail[$lessons][1];

        return [$objective, $this->earliest($cost, $tail, $objective + self::TIE, $lessons)];
    }

    /**
     * Of all cuts whose cost stays within the limit, the one whose first cut is earliest, then its second, …
     *
     * @param  array<int, array<int, float>>  $cost
     * @param  array<int, array<int, float>>  $tail
     * @return list<int>
     */
    private function earliest(array $cost, array $tail, float $limit, int $lessons): array
    {
        $ends = [];
        $spent = 0.0;
        $from = 1;
        for ($left = $lessons; $left >= 1; $left--) {
            foreach ($cost[$from] as $to => $own) {
                if ($spent + $own + ($tail[$left - 1][$to + 1] ?? INF) <= $limit) {
                    $ends[] = $to;
                    $spent += $own;
                    $from = $to + 1;
                    break;
                }
            }
        }

        return $ends;
    }
}
