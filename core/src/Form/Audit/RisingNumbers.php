<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

/**
 * The longest row of numbers that rise, of those a form has in order. What is not in it strays. Of several as long the one whose
 * gaps are best explained by what strays in them, then the one with the smallest gaps, then the one that begins and goes on first.
 * Exact, by dynamic programming from the end.
 */
final readonly class RisingNumbers
{
    /**
     * @param  array<int, int>  $numbers  by position, in order
     * @param  list<int>  $right  positions of the row
     */
    private function __construct(private array $numbers, private array $right)
    {
    }

    /** @param  array<int, int|null>  $movements  published number by position, in order; at least one has one */
    public static function of(array $movements): self
    {
        $positions = array_keys($movements);
        $numbers = array_values($movements);
        $best = []; // by place: how good the row from here on is, and where it goes on
        for ($at = count($numbers) - 1; $at >= 0; $at--) {
            if ($numbers[$at] === null) {
                continue;
            }
            $best[$at] = [[1, 0, 0], null];
            foreach ($best as $next => [$worth]) {
                if ($next > $at && $numbers[$next] > $numbers[$at]) {
                    $gone = [$worth[0] + 1, $worth[1] - self::unexplained($numbers[$next] - $numbers[$at] - 1, $next - $at - 1), $worth[2] - ($numbers[$next] - $numbers[$at] - 1)];
                    // Those further on were looked at first: of equal ones the nearest is taken.
                    if ($gone >= $best[$at][0]) {
                        $best[$at] = [$gone, $next];
                    }
                }
            }
        }
        $first = null;
        $most = null;
        foreach (array_reverse($best, true) as $at => [$worth]) {
            $whole = [$worth[0], $worth[1] - self::unexplained(max(0, $numbers[$at] - 1), $at), $worth[2] - max(0, $numbers[$at] - 1)];
            if ($most === null || $whole > $most) {
                [$most, $first] = [$whole, $at];
            }
        }
        $right = [];
        for ($at = $first; $at !== null; $at = $best[$at][1]) {
            $right[] = $positions[$at];
        }

        return new self(array_filter($movements, is_int(...)), $right);
    }

    /** How many numbers of a gap no entry in it can have. */
    private static function unexplained(int $gap, int $entries): int
    {
        return max(0, $gap - $entries);
    }

    /** @return list<non-empty-list<int>> positions of what strays; those that follow each other by one are one run */
    public function strays(): array
    {
        $runs = [];
        $before = null;
        foreach (array_keys($this->numbers) as $position) {
            if (! in_array($position, $this->right, true)) {
                $run = array_pop($runs);
                $goesOn = $run !== null && $run[count($run) - 1] === $before && $this->numbers[$position] === $this->numbers[$before] + 1;
                array_push($runs, ...($run === null || $goesOn ? [] : [$run]), ...[$goesOn ? [...$run, $position] : [$position]]);
            }
            $before = $position;
        }

        return $runs;
    }

    /** The last right number before a position. */
    public function before(int $position): ?int
    {
        $earlier = array_filter($this->right, static fn (int $at): bool => $at < $position);

        return $earlier === [] ? null : $this->numbers[max($earlier)];
    }

    /** The first right number after a position. */
    public function after(int $position): ?int
    {
        $later = array_filter($this->right, static fn (int $at): bool => $at > $position);

        return $later === [] ? null : $this->numbers[min($later)];
    }

    /** The one number that fits at a position, where the right ones around it leave one and nothing else stands between them. */
    public function only(int $position): ?int
    {
        $before = $this->before($position);
        $after = $this->after($position);
        $between = array_filter(array_keys($this->numbers), fn (int $at): bool => $at !== $position && ! in_array($at, $this->right, true) && $this->before($at) === $before);

        return $before !== null && $after === $before + 2 && $between === [] ? $before + 1 : null;
    }

    /** Whether a stray number is one that is missing elsewhere: its entry stands in the wrong place, and its number is right. */
    public function isMisplaced(int $position): bool
    {
        $number = $this->numbers[$position] ?? null;
        if ($number === null || in_array($position, $this->right, true) || count(array_keys($this->numbers, $number, true)) > 1) {
            return false;
        }
        $last = $this->numbers[$this->right[count($this->right) - 1]];

        return $number > 0 && $number < $last;
    }

    /** @return array<int, array{list<int>, int}> by the position before which numbers are missing: they, and the position of the right number before */
    public function gaps(): array
    {
        $gaps = [];
        [$before, $at] = [0, 0];
        foreach ($this->right as $position) {
            $number = $this->numbers[$position];
            if ($number > $before + 1) {
                $gaps[$position] = [range($before + 1, $number - 1), $at];
            }
            [$before, $at] = [$number, $position];
        }

        return $gaps;
    }
}
