<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Message;

/**
 * A meeting cut to the minute (engine 8). The shares are our default; the minutes always add up to the meeting, and a
 * box that gets none says so.
 */
final readonly class MeetingBoxes
{
    /** Thousandths of the meeting when no lesson is known yet. */
    private const SHARES = ['settle' => 40, 'warm_up' => 180, 'focus' => 100, 'review' => 248, 'new' => 310, 'run_through' => 62, 'close' => 60];

    /** The same with review, new and run-through as one box. */
    private const AROUND = ['settle' => 40, 'warm_up' => 180, 'focus' => 100, 'middle' => 620, 'close' => 60];

    public const MOST_RUN_THROUGH = 15; // per cent of the meeting

    private const REVIEW_PART = 5; // one in so many of the middle stays for review

    /**
     * @param  array<string, int>  $minutes  whole minutes by box, in order
     * @param  list<CourseMinutes>  $courses  what each course has of review, new and run-through
     * @param  list<Message>  $notes  what does not fit
     */
    private function __construct(public int $total, private array $minutes, public array $courses, public array $notes)
    {
    }

    /** The boxes when no lesson is known yet. @param  int  $total minutes, 1 or more */
    public static function unplanned(int $total): self
    {
        $minutes = self::shared($total, self::SHARES);

        return new self($total, $minutes, [], self::empty($minutes));
    }

    /**
     * The boxes around known work, each course in its share of the middle: new rounded up, a fifth left for review;
     * run-through rounded up, at most 15 % of the meeting; review the rest.
     *
     * @param  non-empty-list<CourseNeed>  $needs
     */
    public static function planned(int $total, array $needs): self
    {
        $around = self::shared($total, self::AROUND);
        $notes = self::empty($around);
        $courses = [];
        foreach (self::parts($around['middle'], array_map(static fn (CourseNeed $need): float => $need->share, $needs)) as $at => $middle) {
            [$courses[], $said] = self::course($total, $middle, $needs[$at]);
            array_push($notes, ...$said);
        }
        $sum = static fn (callable $of): int => (int) array_sum(array_map($of, $courses));

        return new self($total, [
            'settle' => $around['settle'],
            'warm_up' => $around['warm_up'],
            'focus' => $around['focus'],
            'review' => $sum(static fn (CourseMinutes $course): int => $course->review),
            'new' => $sum(static fn (CourseMinutes $course): int => $course->new),
            'run_through' => $sum(static fn (CourseMinutes $course): int => $course->runThrough),
            'close' => $around['close'],
        ], $courses, $notes);
    }

    /** The minutes for review, new work and run-through together. */
    public static function middleOf(int $total): int
    {
        return self::shared($total, self::AROUND)['middle'];
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

        return new self($this->total, $all, $this->courses, $this->notes);
    }

    /** @return array{CourseMinutes, list<Message>} */
    private static function course(int $total, int $middle, CourseNeed $need): array
    {
        $wantedNew = self::roundedUp($need->newMinutes);
        $wantedRun = min(self::roundedUp($need->runThroughMinutes), (int) floor(round($total * self::MOST_RUN_THROUGH / 100 * $need->share, 9)));
        $kept = $wantedNew === 0 ? 0 : intdiv($middle + self::REVIEW_PART - 1, self::REVIEW_PART);
        $new = min($wantedNew, $middle - $kept);
        $run = min($wantedRun, $middle - $kept - $new);
        $notes = [];
        if ($new < $wantedNew) {
            $notes[] = Message::of('boxes.new_short', wanted: $wantedNew, left: $middle - $kept, short: $wantedNew - $new);
        }
        if ($run < $wantedRun) {
            $notes[] = Message::of('boxes.run_short', wanted: $wantedRun, left: $run);
        }
        if ($middle - $new - $run === 0) {
            $notes[] = Message::of('boxes.no_review');
        }

        return [new CourseMinutes($middle - $new - $run, $new, $run), $notes];
    }

    /**
     * @param  array<string, int>  $minutes
     * @return list<Message>
     */
    private static function empty(array $minutes): array
    {
        $notes = [];
        foreach ($minutes as $box => $of) {
            if ($of === 0 && $box !== 'middle') {
                $notes[] = Message::of('boxes.none', box: Message::of("box.$box"));
            }
        }

        return $notes;
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
     * The middle by the shares of the courses, largest remainder, ties to the earlier course.
     *
     * @param  non-empty-list<float>  $shares  of any sum
     * @return non-empty-list<int>
     */
    private static function parts(int $middle, array $shares): array
    {
        $all = array_sum($shares);
        $exact = array_map(static fn (float $share): float => round($middle * $share / $all, 9), $shares);
        $parts = array_map(static fn (float $part): int => (int) floor($part), $exact);
        $order = array_keys($exact);
        usort($order, static fn (int $a, int $b): int => [$parts[$a] - $exact[$a], $a] <=> [$parts[$b] - $exact[$b], $b]);
        foreach (array_slice($order, 0, $middle - array_sum($parts)) as $at) {
            $parts[$at]++;
        }

        return array_values($parts);
    }

    private static function roundedUp(float $minutes): int
    {
        return (int) ceil(round($minutes, 9));
    }
}
