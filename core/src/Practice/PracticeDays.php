<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

/** On which days between two meetings somebody practises (engine 18). Pure. */
final class PracticeDays
{
    /**
     * With A days strictly between the meetings and d = min(days, A), day k of 0..d-1 is 1 + floor(k x A / d) after the first.
     *
     * @param  int  $on  the day of the meeting before ({@see \Gorvan\Core\Reading\Day}), and `next` of the one after it
     * @param  int  $days  how many, 0 or more
     * @return list<int>
     */
    public static function between(int $on, int $next, int $days): array
    {
        $between = max(0, $next - $on - 1);
        $count = min($days, $between);

        return $count === 0 ? [] : array_map(static fn (int $nth): int => $on + 1 + intdiv($nth * $between, $count), range(0, $count - 1));
    }
}
