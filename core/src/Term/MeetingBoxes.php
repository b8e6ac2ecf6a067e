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
     * @param  array<string, int>  $fixed  minutes of boxes the teacher said, by the name of the {@see Box}
     */
    public static function planned(int $total, array $needs, array $fixed = []): self
    {
        $around = self::around($total, $fixed);
        $notes = self::empty($around);
        $courses = [];
        $shares = array_map(static fn (CourseNeed $need): float => $need->share, $needs);
        $own = static fn (Box $box): array => isset($fixed[$box->value]) ? self::parts(min($fixed[$box->value], $around['middle']), $shares) : [];
        $said = ['review' => $own(Box::Review), 'new' => $own(Box::New), 'run' => $own(Box::RunThrough)];
        foreach (self::parts($around['middle'], $shares) as $at => $middle) {
            [$courses[], $lacks] = self::course($total, $middle, $needs[$at], $said['review'][$at] ?? null, $said['new'][$at] ?? null, $said['run'][$at] ?? null);
            array_push($notes, ...array_map(static fn (Message $lack): Message => self::of($needs[$at]->title, $lack), $lacks));
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

    /** A note, with the course it is about where there are several. */
    public static function of(?string $title, Message $note): Message
    {
        return $title === null ? $note : Message::of('plan.in_course', title: $title, what: $note);
    }

    /** The minutes for review, new work and run-through together. */
    public static function middleOf(int $total): int
    {
        return self::shared($total, self::AROUND)['middle'];
    }

    /**
     * The middle of each course.
     *
     * @param  non-empty-list<float>  $shares
     * @param  array<string, int>  $fixed
     * @return non-empty-list<int>
     */
    public static function middles(int $total, array $shares, array $fixed = []): array
    {
        return self::parts(self::around($total, $fixed)['middle'], $shares);
    }

    /** @return array<string, int> what settle, warm-up, focus and close take of a meeting, per cent (engine 8, *default*) */
    public static function percents(): array
    {
        return array_map(static fn (int $thousandths): int => intdiv($thousandths, 10), array_diff_key(self::AROUND, ['middle' => true]));
    }

    /** What stays for review of a course's middle: a fifth, rounded up. */
    public static function keptForReview(int $middle): int
    {
        return intdiv($middle + self::REVIEW_PART - 1, self::REVIEW_PART);
    }

    /** The most a course's run-through takes. */
    public static function mostRunThrough(int $total, float $share): int
    {
        return (int) floor(round($total * self::MOST_RUN_THROUGH / 100 * $share, 9));
    }

    /** Whole minutes, rounded up; what is whole but for the arithmetic stays so. */
    public static function roundedUp(float $minutes): int
    {
        return (int) ceil(round($minutes, 9));
    }

    /**
     * Settle, warm-up, focus and close as the teacher said or by their shares; the middle is what they leave.
     *
     * @param  array<string, int>  $fixed
     * @return array{settle: int, warm_up: int, focus: int, middle: int, close: int}
     */
    private static function around(int $total, array $fixed): array
    {
        $around = self::shared($total, self::AROUND);
        foreach (['settle', 'warm_up', 'focus', 'close'] as $box) {
            $minutes = $fixed[$box] ?? $around[$box];
            $around['middle'] -= $minutes - $around[$box];
            $around[$box] = $minutes;
        }

        return $around['middle'] < 0 ? throw BoxesTooLong::fixed($total, $total - $around['middle']) : $around;
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

    /** Gives a course's minutes of one box to another, never more than there are. */
    public function given(int $course, int $minutes, Box $from, Box $to): self
    {
        $of = static fn (CourseMinutes $own): array => ['review' => $own->review, 'new' => $own->new, 'run_through' => $own->runThrough];
        $own = $of($this->courses[$course]);
        $moved = min($minutes, $own[$from->value] ?? 0);
        $all = $this->minutes;
        foreach ([[$from->value, -$moved], [$to->value, $moved]] as [$box, $by]) {
            $all[$box] += $by;
            if (isset($own[$box])) {
                $own[$box] += $by;
            }
        }
        $courses = $this->courses;
        $courses[$course] = new CourseMinutes($own['review'], $own['new'], $own['run_through']);

        return new self($this->total, $all, array_values($courses), $this->notes);
    }

    /** @return array{CourseMinutes, list<Message>} */
    private static function course(int $total, int $middle, CourseNeed $need, ?int $review, ?int $fixedNew, ?int $fixedRun): array
    {
        $wantedNew = $fixedNew ?? self::roundedUp($need->newMinutes);
        $wantedRun = $fixedRun ?? min(self::roundedUp($need->runThroughMinutes), self::mostRunThrough($total, $need->share));
        $kept = min($middle, $review ?? ($wantedNew === 0 || $fixedNew !== null ? 0 : self::keptForReview($middle)));
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
}
