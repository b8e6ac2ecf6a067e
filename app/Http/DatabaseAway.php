<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\ConnectionLost;
use PDOException;
use Throwable;

/**
 * Whether something failed because the database does not answer now, and not because of what was asked: nothing was done,
 * and the same asked again may go well.
 */
final class DatabaseAway
{
    /** SQLSTATEs and classes of them (PostgreSQL's appendix A) that a later try may be free of. */
    private const STATES = '/^(?:08|53|57P|40|55P03|25P03)/';

    /** How libpq says that a connection is gone, for which it has no SQLSTATE. */
    private const GONE = '/server closed the connection|no connection to the server|connection to server .* failed|could not (?:send|receive) data|SSL (?:connection|SYSCALL)|terminating connection|connection not open/i';

    public static function is(Throwable $e): bool
    {
        for ($one = $e; $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof ConnectionLost) {
                return true;
            }
            if ($one instanceof PDOException && (preg_match(self::STATES, (string) ($one->errorInfo[0] ?? $one->getCode())) === 1 || preg_match(self::GONE, $one->getMessage()) === 1)) {
                return true;
            }
        }

        return false;
    }
}
