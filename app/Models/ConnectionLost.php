<?php

declare(strict_types=1);

namespace App\Models;

use RuntimeException;

/** The connection to the database ended while something was being done, and with it all that was done. */
final class ConnectionLost extends RuntimeException
{
}
