<?php

declare(strict_types=1);

namespace App\Jobs;

use Illuminate\Support\Facades\DB;

/** What waits in the queue for a time that cannot be meant. */
final class WaitingJobs
{
    /** Seconds that a job is put off at most, with room: further ahead it was asked for, or begun, by a clock that has been set back since. */
    private const MOST = 600;

    /**
     * Puts to now what a clock has left in the future: it would wait until that clock's hour comes again, and its term would
     * say all the while that it is being planned. Nothing is done twice by it, for whoever works on something holds a lease.
     *
     * @return int how many jobs
     */
    public static function release(): int
    {
        $now = now()->getTimestamp();

        return DB::table('jobs')->where('available_at', '>', $now + self::MOST)->orWhere('reserved_at', '>', $now + self::MOST)
            ->update(['available_at' => $now, 'reserved_at' => null]);
    }
}
