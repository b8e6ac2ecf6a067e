<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Message;

/**
 * A meeting cut to the minute (engine 8). The shares are our default; the minutes always add up to the meeting, a part the
 * teacher fixed keeps its own whatever gives way, and a part that gets none says so.
 */
final readonly class MeetingBoxes
{
    /** Of the middle, where no lesson is known yet. */
    private const MIDDLE = ['review' => 4, 'new' => 5, 'run_through' => 1];

    public const MOST_RUN_THROUGH = 15; // per cent of the meeting

    /** Where review leaves minutes over, per cent of the meeting. */
    public const MOST_LONGER_RUN = 25;

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
    public static function unplanned(int $total, bool $hasFocus = true): self
    {
        $weights = [];
        foreach (RunningOrder::usual($hasFocus)->shares() as $box => $share) {
            $weights += $box === 'middle' ? array_map(static fn (int $of): int => $of * $share, self::MIDDLE) : [$box => $share * array_sum(self::MIDDLE)];
        }
        $minutes = self::shared($total, $weights);

        return new self($total, $minutes, [], self::empty($minutes));
    }

    /**
     * The boxes around known work.
     *
     * @param  MeetingFrame  $frame  what stands around it
     * @param  non-empty-list<CourseMinutes>  $courses  what each course has of the middle
     */
    public static function planned(MeetingFrame $frame, array $courses): self
    {
        $sum = static fn (callable $of): int => (int) array_sum(array_map($of, $courses));
        $middle = [
            'review' => $sum(static fn (CourseMinutes $course): int => $course->review),
            'new' => $sum(static fn (CourseMinutes $course): int => $course->new),
            'run_through' => $sum(static fn (CourseMinutes $course): int => $course->runThrough),
        ];
        // What nobody has work for comes after the middle.
        $free = array_filter([Box::Free->value => $sum(static fn (CourseMinutes $course): int => $course->free)]);
        $inside = array_intersect($frame->order, RunningOrder::IN_THE_MIDDLE);
        $minutes = [];
        foreach ($frame->order as $at => $box) {
            $minutes[$box] = $middle[$box] ?? $frame->minutes[$box] ?? 0;
            $minutes += $at === array_key_last($inside) ? $free : [];
        }
        $minutes += $free;
        $unsaid = static fn (string $box): bool => ! isset($frame->fixed[$box]);

        return new self($frame->total, $minutes, $courses, [...$frame->notes, ...self::empty(array_filter($frame->minutes, $unsaid, ARRAY_FILTER_USE_KEY))]);
    }

    /** A note, with the course it is about where there are several. */
    public static function of(?string $title, Message $note): Message
    {
        return $title === null ? $note : Message::of('plan.in_course', title: $title, what: $note);
    }

    /** @return array<string, int> what settle, warm-up, focus and close weigh beside each other and the middle (engine 8, *default*) */
    public static function percents(bool $hasFocus = true): array
    {
        $shares = RunningOrder::usual($hasFocus)->shares();
        $all = array_sum($shares);

        return array_map(static fn (int $share): int => (int) round(100 * $share / $all), array_diff_key($shares, ['middle' => true]));
    }

    /** What stays for review of a course's middle: a fifth, rounded up. */
    public static function keptForReview(int $middle): int
    {
        return intdiv($middle + self::REVIEW_PART - 1, self::REVIEW_PART);
    }

    /** The most a course's run-through takes. */
    public static function mostRunThrough(int $total, float $share, int $percent = self::MOST_RUN_THROUGH): int
    {
        return (int) floor(round($total * $percent / 100 * $share, 9));
    }

    /** Whole minutes, rounded up; what is whole but for the arithmetic stays so. */
    public static function roundedUp(float $minutes): int
    {
        return (int) ceil(round($minutes, 9));
    }

    public function minutes(Box $box): int
    {
        return $this->minutes[$box->value] ?? 0;
    }

    /** @return array<string, int> by box, in order */
    public function all(): array
    {
        return $this->minutes;
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
     * @param  array<string, int>  $weights  beside each other
     * @return array<string, int>
     */
    public static function shared(int $total, array $weights): array
    {
        $all = array_sum($weights);
        $minutes = $remainders = [];
        $order = 0;
        foreach ($weights as $box => $weight) {
            $minutes[$box] = intdiv($total * $weight, $all);
            $remainders[] = [-(($total * $weight) % $all), $order++, $box];
        }
        sort($remainders);
        foreach (array_slice($remainders, 0, $total - array_sum($minutes)) as [, , $box]) {
            $minutes[$box]++;
        }

        return $minutes;
    }

    /**
     * Minutes by the shares of the courses, largest remainder, ties to the earlier course.
     *
     * @param  non-empty-list<float>  $shares  of any sum
     * @return non-empty-list<int>
     */
    public static function parts(int $minutes, array $shares): array
    {
        $all = array_sum($shares);
        $exact = array_map(static fn (float $share): float => round($minutes * $share / $all, 9), $shares);
        $parts = array_map(static fn (float $part): int => (int) floor($part), $exact);
        $order = array_keys($exact);
        usort($order, static fn (int $a, int $b): int => [$parts[$a] - $exact[$a], $a] <=> [$parts[$b] - $exact[$b], $b]);
        foreach (array_slice($order, 0, $minutes - array_sum($parts)) as $at) {
            $parts[$at]++;
        }

        return array_values($parts);
    }
}
