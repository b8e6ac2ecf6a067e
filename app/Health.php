<?php

declare(strict_types=1);

namespace App;

use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Whether anything can still be written: tried every minute by the scheduler, in the database and beside the logs, and read
 * by whoever asks, which costs nothing.
 */
final class Health
{
    /** Is there once it was tried at all. */
    private const TRIED = 'app/tried';

    /** Is there while the last try went well: what is full can still take a file away. */
    private const WELL = 'app/writable';

    public static function try(): bool
    {
        $isWell = self::canWrite();
        $isWell ? @touch(storage_path(self::WELL)) : @unlink(storage_path(self::WELL));

        return $isWell;
    }

    public static function isFull(): bool
    {
        return file_exists(storage_path(self::TRIED)) && ! file_exists(storage_path(self::WELL));
    }

    private static function canWrite(): bool
    {
        try {
            DB::statement('insert into trial_writes (id, at) values (1, now()) on conflict (id) do update set at = excluded.at');
        } catch (Throwable) {
            return false;
        }

        // More than a file system keeps back for whoever it is of.
        return @file_put_contents(storage_path(self::TRIED), str_repeat('.', 65536)) === 65536;
    }
}
