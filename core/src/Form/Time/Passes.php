<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Time;

/** How often an entry is gone through when it is reviewed, and the minutes that takes (engine 7). Pure. */
final class Passes
{
    /** Watch, together, alone (common practice), *default*. */
    public const USUAL = 3;

    /** Minutes to set up a passage, *default*. */
    public const SET_UP = 1.5;

    /** Seconds an entry is gone through, at most, whatever its passes. */
    private const LONG = 120.0;

    /** What takes long is gone through as often as two minutes allow, and once in any case. */
    public static function of(float $seconds, int $wished = self::USUAL): int
    {
        $most = $seconds <= 0.0 ? self::USUAL : max(1, min(self::USUAL, (int) floor(round(self::LONG / $seconds, 9))));

        return $most < self::USUAL ? min($wished, $most) : $wished;
    }

    /** Minutes one entry is gone through. */
    public static function minutes(float $seconds, int $wished = self::USUAL): float
    {
        return self::of($seconds, $wished) * $seconds / 60.0;
    }
}
