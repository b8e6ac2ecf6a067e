<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

/** The day a note from home counts for. */
final class HomeDay
{
    /** So many days late a note may come and still be believed: a phone that was away from the network, or one whose clock is wrong. */
    private const LATE = 31;

    /**
     * The day it claims, but never one after the day it arrived, and none that is longer ago than a phone keeps notes: then the
     * clock was wrong, and it counts for the day it arrived. Pure.
     *
     * @param  int  $claimed  ({@see \Gorvan\Core\Reading\Day})
     */
    public static function of(int $claimed, int $arrived): int
    {
        return $claimed > $arrived || $claimed < $arrived - self::LATE ? $arrived : $claimed;
    }
}
