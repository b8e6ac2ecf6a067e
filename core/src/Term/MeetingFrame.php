<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Message;

/**
 * What stands around review, new work and run-through in a meeting, and how much they have together (engine 8): parts with
 * minutes of their own take them first, exactly, the rest goes by shares. Pure.
 */
final readonly class MeetingFrame
{
    /**
     * @param  array<string, int>  $minutes  settle, warm-up, focus, `middle` and close, as far as they are in the meeting's order
     * @param  array<string, int>  $fixed  what the teacher said, by the name of the {@see Box}, as it is kept
     * @param  list<Message>  $notes  where it could not be kept
     * @param  list<string>  $order  its parts
     */
    private function __construct(public int $total, public array $minutes, public array $fixed, public array $notes, public array $order)
    {
    }

    /**
     * @param  int  $total  minutes, 1 or more
     * @param  array<string, int>  $fixed  minutes the teacher said, by the name of the {@see Box}
     */
    public static function of(int $total, array $fixed = [], ?RunningOrder $running = null): self
    {
        $running ??= RunningOrder::usual();
        $shares = $running->shares();
        $order = $running->order();
        // A part that the order does not hold has no minutes, whatever was said of it.
        $fixed = array_replace($running->minutes(), array_intersect_key($fixed, array_fill_keys($order, 0)));
        $none = array_intersect_key($fixed, array_fill_keys(array_diff(RunningOrder::IN_THE_MIDDLE, $order), 0));
        $fixed = array_replace(array_intersect_key(array_fill_keys($order, 0), $fixed), array_intersect_key($fixed, array_fill_keys($order, 0)));
        [$fixed, $notes] = self::within($total, $fixed);
        $around = array_diff_key($fixed, array_fill_keys(RunningOrder::IN_THE_MIDDLE, 0));
        $inside = (int) array_sum(array_intersect_key($fixed, array_fill_keys(RunningOrder::IN_THE_MIDDLE, 0)));
        $left = $total - (int) array_sum($around);
        $weights = array_diff_key($shares, $around);
        $minutes = ($weights === [] ? [] : MeetingBoxes::shared($left, $weights)) + [RunningOrder::MIDDLE => 0];
        if ($minutes['middle'] < $inside) {
            // Only what exceeds the middle shrinks the others, in proportion.
            $others = array_diff_key($weights, ['middle' => 0]);
            $minutes = ['middle' => $inside] + ($others === [] ? [] : MeetingBoxes::shared($left - $inside, $others));
        }
        // Where everything else is fixed and too little, the middle has what is left.
        $minutes['middle'] += $left - (int) array_sum($minutes);
        $minutes += $around;

        return new self($total, array_map(static fn (string $box): int => $minutes[$box], array_combine([...array_keys($shares), RunningOrder::MIDDLE], [...array_keys($shares), RunningOrder::MIDDLE])), $fixed + $none, $notes, $order);
    }

    /**
     * The middle of each course.
     *
     * @param  non-empty-list<float>  $shares
     * @return non-empty-list<int>
     */
    public function middles(array $shares): array
    {
        return MeetingBoxes::parts($this->minutes['middle'], $shares);
    }

    /**
     * What each course has of a part in the middle that the teacher fixed; null where it was not.
     *
     * @param  non-empty-list<float>  $shares
     * @return list<int>|null
     */
    public function fixedIn(Box $box, array $shares): ?array
    {
        return isset($this->fixed[$box->value]) ? MeetingBoxes::parts($this->fixed[$box->value], $shares) : null;
    }

    /**
     * A meeting that was shortened may be too short for what was fixed of it: the last parts give way, and it is said.
     *
     * @param  array<string, int>  $fixed  in order
     * @return array{array<string, int>, list<Message>}
     */
    private static function within(int $total, array $fixed): array
    {
        $over = (int) array_sum($fixed) - $total;
        $notes = $over > 0 ? [Message::of('boxes.too_long', minutes: $total, wanted: $total + $over)] : [];
        foreach (array_reverse(array_keys($fixed)) as $box) {
            $gives = max(0, min($over, $fixed[$box]));
            $fixed[$box] -= $gives;
            $over -= $gives;
        }

        return [$fixed, $notes];
    }
}
