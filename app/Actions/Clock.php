<?php

declare(strict_types=1);

namespace App\Actions;

use DateTimeImmutable;

/** What a device's clock said, against the one here. */
final class Clock
{
    /** A difference of less is how long things take to arrive. */
    private const TOLERANCE = 60;

    /** Seconds the device is ahead, or null when it is not; noted beside the fact, and never a reason to refuse it. */
    public static function ahead(DateTimeImmutable $said): ?int
    {
        $ahead = $said->getTimestamp() - now()->getTimestamp();

        return $ahead > self::TOLERANCE ? $ahead : null;
    }
}
