<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/**
 * The id of the withdrawal by which a log takes back the one it replaces. It is worked out from the log's own, so that a
 * log sent twice withdraws once, and is never that id itself: whoever takes the log back must not take its withdrawal back
 * with it, and so revive what it had replaced.
 *
 * Shape: as the ids of logs, 26 letters of Crockford's base 32; the first ten (the time of a ULID) are the log's, the other
 * sixteen are 80 bits of SHA-256.
 */
final readonly class TakenBackBy
{
    private const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    private const TIME = 10;

    private const REST = 16;

    /** @param  string  $log  id of the log that replaces another */
    public static function log(string $log): string
    {
        $bits = '';
        foreach (str_split(hash('sha256', "replaced by $log", true)) as $byte) {
            $bits .= str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT);
        }
        $rest = '';
        foreach (array_slice(str_split($bits, 5), 0, self::REST) as $five) {
            $rest .= self::LETTERS[(int) bindec($five)];
        }

        return str_pad(substr($log, 0, self::TIME), self::TIME, '0').$rest;
    }
}
