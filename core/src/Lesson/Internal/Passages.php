<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Internal;

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\JoinRest;

/**
 * Which passages of a form may be a lesson: within the cap (1.5 times the target, unless a single entry), across no
 * pinned join, ending at no barred one.
 *
 * For one target the feasible numbers of lessons have no gap: any feasible cut can be refined one allowed join at a
 * time, since a part of a lesson is never heavier than the lesson.
 *
 * @internal
 */
final readonly class Passages
{
    public const CAP = 1.5;

    private const CAP_TOLERANCE = 1e-9;

    /** @var list<float> load of the first n entries */
    private array $before;

    /**
     * @param  list<EntryLoad>  $loads  of the whole form
     * @param  list<JoinRest>  $joins  of the whole form
     * @param  Passage  $passage  what is cut; positions are the form's own
     */
    public function __construct(array $loads, private array $joins, private Passage $passage)
    {
        $before = [0.0];
        $sum = 0.0;
        foreach ($loads as $load) {
            $before[] = $sum += $load->position < $passage->from ? 0.0 : $load->load;
        }
        $this->before = $before;
    }

    public function first(): int
    {
        return $this->passage->from;
    }

    public function last(): int
    {
        return $this->passage->to;
    }

    public function count(): int
    {
        return $this->last() - $this->first() + 1;
    }

    public function total(): float
    {
        return $this->before[$this->last()];
    }

    public function load(int $from, int $to): float
    {
        return $this->before[$to] - $this->before[$from - 1];
    }

    public function rest(int $after): float
    {
        return $this->joins[$after - 1]->rest;
    }

    /** @return list<int> where a lesson that starts here may end, in order */
    public function endsFrom(int $from, float $target): array
    {
        $ends = [];
        for ($to = $from; $to <= $this->last(); $to++) {
            if ($to > $from && ! $this->fits($from, $to, $target)) {
                break;
            }
            $pin = $to === $this->last() ? null : $this->joins[$to - 1]->pin;
            if ($pin !== CutPin::Never) {
                $ends[] = $to;
            }
            if ($pin === CutPin::Always) {
                break;
            }
        }

        return $ends;
    }

    /** @return array{int, int}|null the fewest and the most lessons, or null when no cut keeps the cap */
    public function feasibleRange(float $target): ?array
    {
        $fewest = [$this->last() + 1 => 0];
        for ($from = $this->last(); $from >= $this->first(); $from--) {
            $least = null;
            foreach ($this->endsFrom($from, $target) as $to) {
                $rest = $fewest[$to + 1] ?? null;
                $least = $rest === null ? $least : min($least ?? PHP_INT_MAX, $rest + 1);
            }
            if ($least !== null) {
                $fewest[$from] = $least;
            }
        }
        if (! isset($fewest[$this->first()])) {
            return null;
        }
        $barred = count(array_filter(
            $this->joins,
            fn (JoinRest $join): bool => $join->pin === CutPin::Never && $this->first() <= $join->after && $join->after < $this->last(),
        ));

        return [$fewest[$this->first()], $this->count() - $barred];
    }

    public function isFeasible(int $lessons, float $target): bool
    {
        $range = $this->feasibleRange($target);

        return $range !== null && $range[0] <= $lessons && $lessons <= $range[1];
    }

    /** @return list<int> every number of lessons that works with its own target, total / K */
    public function feasibleCounts(): array
    {
        return array_values(array_filter(
            range(1, $this->count()),
            fn (int $lessons): bool => $this->isFeasible($lessons, $this->total() / $lessons),
        ));
    }

    /** @return array{int, int} the heaviest run of more than one entry that bars hold together */
    public function heaviestBlock(): array
    {
        $heaviest = [$this->first(), $this->first()];
        $most = -1.0;
        $from = $this->first();
        for ($to = $from; $to <= $this->last(); $to++) {
            if ($to < $this->last() && $this->joins[$to - 1]->pin === CutPin::Never) {
                continue;
            }
            if ($to > $from && $this->load($from, $to) > $most) {
                $heaviest = [$from, $to];
                $most = $this->load($from, $to);
            }
            $from = $to + 1;
        }

        return $heaviest;
    }

    private function fits(int $from, int $to, float $target): bool
    {
        return $this->load($from, $to) <= self::CAP * $target + self::CAP_TOLERANCE;
    }
}
