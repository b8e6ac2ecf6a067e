<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * The boxes of a class while it runs. However the clock is stretched, the class ends when it was to end: what one box takes the
 * others give, and what each gives is said.
 *
 * Whole seconds. Pure. The same rule runs in the page, where there may be no network; both are held to
 * `core/tests/Term/clock.json`.
 */
final readonly class ClassClock
{
    /** Who gives first. Settling, warming up and closing are part of the practice: they give last. */
    private const GIVES = [Box::Free, Box::RunThrough, Box::Review, Box::New, Box::Focus, Box::Settle, Box::WarmUp, Box::Close];

    /**
     * @param  array<string, int>  $seconds  by box, in the order they are held
     * @param  int  $over  seconds by which the class runs over its end, where no box has anything left to give
     */
    private function __construct(public array $seconds, public int $over = 0)
    {
    }

    /** @param  array<string, int>  $minutes  by box, in order, as {@see MeetingBoxes::all()} has them */
    public static function of(array $minutes): self
    {
        return new self(array_map(static fn (int $of): int => 60 * $of, $minutes));
    }

    /** The class begins late: every box may have to give. @param  int  $seconds 0 or more */
    public function startedLate(int $seconds): self
    {
        [$given, $left] = self::give($this->seconds, $seconds, array_keys($this->seconds));

        return new self($given, $this->over + $left);
    }

    /**
     * A box takes longer, and those after it give; or it is over early, and the next one that is held has what is left.
     *
     * @param  int  $seconds  more (or, below 0, less) than it had; never less than nothing
     */
    public function stretched(Box $box, int $seconds): self
    {
        $order = array_keys($this->seconds);
        $later = array_slice($order, (int) array_search($box->value, $order, true) + 1);
        $all = $this->seconds;
        if ($seconds < 0) {
            $spare = min(-$seconds, $all[$box->value]);
            if ($later === []) {
                return $this; // what is left of the last box is the end of the class
            }
            $all[$box->value] -= $spare;
            // What the class was running over is won back first.
            $all[self::following($all, $later)] += max(0, $spare - $this->over);

            return new self($all, max(0, $this->over - $spare));
        }
        [$all, $left] = self::give($all, $seconds, $later);
        $all[$box->value] += $seconds;

        return new self($all, $this->over + $left);
    }

    /**
     * What boxes lost between one clock and another.
     *
     * @return list<array{box: Box, from: int, to: int}> in the order in which they give, seconds
     */
    public function costs(self $before): array
    {
        $costs = [];
        foreach (self::GIVES as $box) {
            $from = $before->seconds[$box->value] ?? 0;
            $to = $this->seconds[$box->value] ?? 0;
            if ($to < $from) {
                $costs[] = ['box' => $box, 'from' => $from, 'to' => $to];
            }
        }

        return $costs;
    }

    /** Whether a box gives only when nothing else can: giving it up is said apart. */
    public static function givesLast(Box $box): bool
    {
        return in_array($box, [Box::Settle, Box::WarmUp, Box::Close], true);
    }

    /**
     * Which of the later boxes has what is left over: the next one that is held; where none is, the last, which closes.
     *
     * @param  array<string, int>  $all
     * @param  non-empty-list<string>  $later
     */
    private static function following(array $all, array $later): string
    {
        foreach ($later as $box) {
            if ($all[$box] > 0) {
                return $box;
            }
        }

        return $later[count($later) - 1];
    }

    /**
     * @param  array<string, int>  $all
     * @param  list<string>  $from  boxes that may give
     * @return array{array<string, int>, int} the boxes, and what nobody could give
     */
    private static function give(array $all, int $seconds, array $from): array
    {
        foreach (self::GIVES as $box) {
            if (in_array($box->value, $from, true)) {
                $given = min($seconds, $all[$box->value]);
                $all[$box->value] -= $given;
                $seconds -= $given;
            }
        }

        return [$all, $seconds];
    }
}
