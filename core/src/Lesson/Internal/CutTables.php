<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Internal;

use LogicException;

/**
 * Every cut of a passage into exactly so many lessons, summed up: what the best costs from each start to the end, and from
 * the beginning to each end. Dynamic programming over the passages within the cap, O(n^2 K).
 *
 * @internal
 */
final class CutTables
{
    /** Objectives this near each other, for their size, are equal. */
    private const TIE = 1e-12;

    /** @var array<int, array<int, float>> [start][end] => what a lesson from start to end adds, its cut included */
    private array $cost = [];

    /** @var array<int, array<int, float>> [lessons left][start] => the least cost from start to the end */
    private array $tail;

    /** @var array<int, array<int, float>>|null [lessons made][end] => the least cost from the beginning to that end, its cut included */
    private ?array $head = null;

    public function __construct(private readonly Passages $passages, float $target, private readonly int $lessons, float $lambda)
    {
        [$first, $last] = [$passages->first(), $passages->last()];
        for ($from = $first; $from <= $last; $from++) {
            foreach ($passages->endsFrom($from, $target) as $to) {
                $deviation = $target > 0.0 ? ($passages->load($from, $to) - $target) / $target : 0.0;
                $this->cost[$from][$to] = $deviation ** 2 + ($to < $last ? $lambda * (1.0 - $passages->rest($to)) : 0.0);
            }
        }
        $this->tail = [0 => [$last + 1 => 0.0]];
        for ($left = 1; $left <= $lessons; $left++) {
            $this->tail[$left] = [];
            for ($from = $last - $left + 1; $from >= $first; $from--) {
                $least = INF;
                foreach ($this->cost[$from] ?? [] as $to => $own) {
                    $least = min($least, $own + ($this->tail[$left - 1][$to + 1] ?? INF));
                }
                if ($least < INF) {
                    $this->tail[$left][$from] = $least;
                }
            }
        }
    }

    /** Of the best cut; INF where no cut keeps the caps, pins and bars. */
    public function objective(): float
    {
        return $this->tail[$this->lessons][$this->passages->first()] ?? INF;
    }

    /** Of the best cut that ends a lesson after this position; INF where there is none. */
    public function objectiveThrough(int $after): float
    {
        $head = $this->head ??= $this->headTable();
        $least = INF;
        for ($made = 1; $made < $this->lessons; $made++) {
            $least = min($least, ($head[$made][$after] ?? INF) + ($this->tail[$this->lessons - $made][$after + 1] ?? INF));
        }

        return $least;
    }

    /**
     * The last position of each lesson of the best cut. Of all cuts whose cost is the least, the one whose first cut is
     * earliest, then its second, …: each end is the first that still leads to the least cost from its start, by the very
     * sums the table was made of.
     *
     * @return list<int>
     */
    public function ends(): array
    {
        $objective = $this->objective();
        if ($objective === INF) {
            throw new LogicException("no cut into {$this->lessons} lessons was found where one is feasible");
        }
        $tie = self::TIE * abs($objective);
        $ends = [];
        $from = $this->passages->first();
        for ($left = $this->lessons; $left >= 1; $left--) {
            foreach ($this->cost[$from] as $to => $own) {
                if ($own + ($this->tail[$left - 1][$to + 1] ?? INF) <= $this->tail[$left][$from] + $tie) {
                    $ends[] = $to;
                    $from = $to + 1;
                    break;
                }
            }
        }

        return $ends;
    }

    /** @return array<int, array<int, float>> */
    private function headTable(): array
    {
        $before = [$this->passages->first() - 1 => 0.0];
        $head = [];
        for ($made = 1; $made < $this->lessons; $made++) {
            $here = [];
            foreach ($before as $end => $sum) {
                foreach ($this->cost[$end + 1] ?? [] as $to => $own) {
                    $here[$to] = min($here[$to] ?? INF, $sum + $own);
                }
            }
            $head[$made] = $before = $here;
        }

        return $head;
    }
}
