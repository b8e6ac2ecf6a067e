<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

/** A draw that anybody can repeat: a pure function of what it is drawn for (engine 9). */
final class Draw
{
    /** The first 52 bits of a hash: as many as a float holds exactly. */
    private const HEX_DIGITS = 13;

    private const DRAWS = 2 ** 52;

    /** @param  string  $for  `seed|student|date|copy`, `meeting|draw` @return float from 0, below 1 */
    public static function of(string $for): float
    {
        return (int) hexdec(substr(hash('sha256', $for), 0, self::HEX_DIGITS)) / self::DRAWS;
    }
}
