<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * A meeting cut to the minute (engine 8). The shares are our default; the minutes always add up to the meeting.
 */
final readonly class MeetingBoxes
{
    /** Thousandths of the meeting when no lesson is known yet. */
    private const SHARES = ['settle' => 40, 'warm_up' => 180, 'focus' => 100, 'review' => 248, 'new' => 310, 'run_through' => 62, 'close' => 60];

    private const MOST_RUN_THROUGH = 15; // per cent of the meeting

    private const LEAST_WARM_UP = 8;

    private const WARM_UP_FROM = 45;

    /**
     * @param  array<string, int>  $minutes  whole minutes by box, in order
     * @param  list<string>  $warnings
     */
    private function __construct(public int $total, private array $minutes, public array $warnings)
    {
    }

    /** The boxes when no lesson is known yet. @param  int  $total minutes, 1 or more */
    public static function unplanned(int $total): self
    {
        return new self($total, self::warmedUp($total, self::shared($total, self::SHARES)), []);
    }

    /**
     * The boxes around known work: new and run-through rounded up, run-through at most 15 % of the meeting, review the rest.
     *
     * @param  float  $newMinutes  what the lesson needs, 0 for a meeting with nothing new
     * @param  float  $runThroughMinutes  what running through at class pace needs
     */
    public static function planned(int $total, float $newMinutes, float $runThroughMinutes): self
    {
        $shares = self::SHARES;
        $shares['review'] = $shares['review'] + $shares['new'] + $shares['run_through'];
        unset($shares['new'], $shares['run_through']);
        $minutes = self::warmedUp($total, self::shared($total, $shares));
        $middle = $minutes['review'];
        $wantedNew = self::roundedUp($newMinutes);
        $wantedRun = min(self::roundedUp($runThroughMinutes), intdiv($total * self::MOST_RUN_THROUGH, 100));
        $new = min($wantedNew, $middle);
        $run = min($wantedRun, $middle - $new);
        $review = $middle - $new - $run;
        $warnings = [];
        if ($new < $wantedNew) {
            $warnings[] = "The new work needs $wantedNew minutes and only $middle are left beside the other boxes: ".($wantedNew - $new).' minutes short.';
        }
        if ($run < $wantedRun) {
            $warnings[] = "The run-through needs $wantedRun minutes and only $run are left.";
        }
        if ($review === 0) {
            $warnings[] = 'No minute is left for review.';
        }

        return new self($total, [
            ...array_slice($minutes, 0, 3),
            'review' => $review,
            'new' => $new,
            'run_through' => $run,
            'close' => $minutes['close'],
        ], $warnings);
    }

    public function minutes(Box $box): int
    {
        return $this->minutes[$box->value];
    }

    /** @return array<string, int> by box, in order */
    public function all(): array
    {
        return $this->minutes;
    }

    /** Moves minutes from one box to another, never more than there are. */
    public function moved(int $minutes, Box $from, Box $to): self
    {
        $all = $this->minutes;
        $moved = min($minutes, $all[$from->value]);
        $all[$from->value] -= $moved;
        $all[$to->value] += $moved;

        return new self($this->total, $all, $this->warnings);
    }

    /**
     * Whole minutes by largest remainder, in integer arithmetic; ties go to the earlier box.
     *
     * @param  array<string, int>  $shares  thousandths, adding up to 1000
     * @return array<string, int>
     */
    private static function shared(int $total, array $shares): array
    {
        $minutes = $remainders = [];
        $order = 0;
        foreach ($shares as $box => $share) {
            $minutes[$box] = intdiv($total * $share, 1000);
            $remainders[] = [-(($total * $share) % 1000), $order++, $box];
        }
        sort($remainders);
        foreach (array_slice($remainders, 0, $total - array_sum($minutes)) as [, , $box]) {
            $minutes[$box]++;
        }

        return $minutes;
    }

    /**
     * @param  array<string, int>  $minutes
     * @return array<string, int>
     */
    private static function warmedUp(int $total, array $minutes): array
    {
        $short = self::LEAST_WARM_UP - $minutes['warm_up'];
        if ($total < self::WARM_UP_FROM || $short <= 0) {
            return $minutes;
        }
        $others = array_diff_key($minutes, ['warm_up' => 0]);
        arsort($others); // stable: of equals, the earlier box pays
        $minutes['warm_up'] += $short;
        $minutes[array_key_first($others)] -= $short;

        return $minutes;
    }

    private static function roundedUp(float $minutes): int
    {
        return (int) ceil(round($minutes, 9));
    }
}
